# frozen_string_literal: true

module Grittle
  module Profiles
    # What in a profile does not go together, worded as questions: the surveyor may have good reasons. [common practice;
    # the amounts are our own model]
    module Questions
      FINER = Data::PROFILE["question_finer"]
      OUTSIDE = Data::PROFILE["question_outside"]

      module_function

      # @param horizons [Array<HorizonDescription>] from the surface down
      # @param contrasts [Array<Hash>] as Contrast#to_h has them
      # @return [Array<Hash>] "question", "designation", "depth_cm" and "sentence"
      def between(horizons, contrasts)
        horizons.each_cons(2).flat_map do |_upper, lower|
          contrast = contrasts.find { |one| one["depth_cm"] == lower.depths.upper }
          [no_increase(lower, contrast), finer_below(horizons, lower)].compact
        end
      end

      # @param designation [String]
      # @param depth_cm [Numeric]
      # @param names [Array] a NamedClass and who, one a reading
      # @return [Array<Hash>] where two of them lie two classes or more apart
      def readings_apart(designation, depth_cm, names)
        names.combination(2).filter_map do |one, other|
          count = one.first.apart(other.first)
          next if count.nil? || count < NamedClass::FAR

          apart = "#{NamedClass.say_apart(count)} (#{one.last}; #{other.last})"
          question(
            "readings_apart",
            designation,
            depth_cm,
            "Two readings of #{designation} are #{apart}: were they the same soil?"
          )
        end
      end

      # @param named [NamedClass]
      # @param percent [Numeric] clay as the hand wrote it down
      # @return [Hash, nil] where it lies outside what the class holds
      def clay_outside(designation, depth_cm, named, percent)
        clays = named.clay_range
        return if clays.nil? || percent.between?(clays.first - OUTSIDE, clays.last + OUTSIDE)

        question("clay_outside", designation, depth_cm,
                 "#{designation} was given a class of #{clays.join(' to ')} % clay, but #{Units.number(percent)} % " \
                 "was written down: " \
                 "which is meant?")
      end

      def no_increase(lower, contrast)
        return unless lower.designation.match?(/\A\d?B\d?[a-z]*t/) && contrast
        if contrast["tests"].any? do |test|
             test["test"] == "clay_increase" && (test["own"] || test["probability"] >= Contrast::MET)
           end
          return
        end

        question("no_increase", lower.designation, lower.depths.upper,
                 "#{lower.designation} says that clay has gathered. #{contrast['sentence']} What did you see: films, " \
                 "or something else?")
      end

      def finer_below(horizons, lower)
        above = horizons[0...horizons.index(lower)].reverse.find { |horizon| horizon.designation.match?(/\A\d?B/) }
        unless lower.designation.match?(/\A\d?C/) && above&.clay && lower.clay && lower.clay - above.clay >= FINER
          return
        end

        noted = lower.other_material?
        question("finer_below", lower.designation, lower.depths.upper,
                 "#{lower.designation} is finer than #{above.designation} (about #{lower.clay.round} over " \
                 "#{above.clay.round} % clay). " \
                 "#{noted ? 'You noted another material: does it begin here?' : 'Does another material begin here?'}")
      end

      def question(name, designation, depth, sentence)
        { "question" => name, "designation" => designation, "depth_cm" => depth, "sentence" => sentence }
      end
      private_class_method :no_increase, :finer_below, :question
    end
  end
end
