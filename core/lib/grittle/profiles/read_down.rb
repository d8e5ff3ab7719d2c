# frozen_string_literal: true

module Grittle
  module Profiles
    # A described profile, read from the surface down: the one front door for everything that follows from its horizons.
    # A hash in, a hash out.
    #
    #   "name"           of the profile
    #   "naming_system"  whose names its method gives
    #   "horizons"       from the surface down, each with "designation" (else its depths), "upper_cm", "lower_cm",
    #                    "boundary" (a word), "moist_colour", "seen" (fields of Entry::Fields::HORIZON),
    #                    "reported_class" (a class without a reading), "tests" and "readings", oldest first, each
    #                    with "id", "by", "day", "reported" (whether it was chosen to speak), "disturbed" (why it does
    #                    not speak for its depth), "named" (the class assigned), and either "verdict" (as Verdict has
    #                    it) or "observations" and "method"
    class ReadDown
      HORIZON = %w[
        designation upper_cm lower_cm boundary moist_colour seen reported_class readings tests
      ].freeze
      READING = %w[id by day reported disturbed named verdict observations method hand laboratory].freeze

      # One horizon with what speaks for it.
      Layer = Struct.new(:described, :verdict, :reading, :readings, :reported, keyword_init: true)

      # @param profile [Hash{String=>Object}]
      # @raise [InvalidInput] for a name that there is not, a colour, a class or depths that cannot be
      def initialize(profile)
        check(profile["horizons"])
        @name = profile["name"]
        @system = profile["naming_system"]
        @layers = profile["horizons"].map { |horizon| layer(horizon) }
        freeze
      end

      # @return [Hash{String=>Object}] "horizons" (each with "named", "clay", "readings"), "contrasts", "perching",
      #   "sandwiches", "wetness", "form", "questions"
      def to_h
        changes = contrasts
        {
          "horizons" => @layers.map { |layer| horizon(layer) },
          "contrasts" => changes,
          "perching" => perching.found,
          "sandwiches" => perching.sandwiches,
          "wetness" => Wetness.new(described).to_h,
          "form" => form,
          "questions" => questions(changes)
        }
      end

      # The reading that speaks for a horizon, of soil that lay there: the reported one, else the newest with a class,
      # else the newest.
      # @param readings [Array<Hash>] oldest first
      # @return [Hash, nil]
      def self.speaking(readings)
        whole = readings.reject { |reading| reading["disturbed"] }
        whole.find { |reading| reading["reported"] } || whole.reverse.find { |reading| reading["named"] } || whole.last
      end

      # @return [Array<Array>] every horizon as it was described, with the reading that speaks for it, if any
      def speaking = @layers.map { |layer| [layer.described, layer.reading] }

      # @return [Array] a name and its horizons, for Comparison
      def for_comparison = [@name, described]

      private

      # A name that is misspelt would be a horizon without texture.
      def check(horizons)
        found = horizons.each_with_index.flat_map do |horizon, at|
          pointer = "/horizons/#{at}"
          wrong = unknown(horizon, HORIZON, pointer)
          next wrong if wrong.any?

          list(horizon["readings"]).each_with_index.flat_map do |reading, place|
            unknown(reading, READING, "#{pointer}/readings/#{place}")
          end
        end
        raise InvalidInput, found if found.any?
      end

      def list(readings) = readings.nil? || readings.is_a?(Array) ? readings.to_a : [readings]

      def unknown(given, names, pointer)
        return no_object(pointer) unless given.is_a?(Hash)
        return no_object("#{pointer}/seen") unless given["seen"].nil? || given["seen"].is_a?(Hash)

        (given.keys - names).map do |name|
          sentence = "There is no “#{name}” in #{pointer}. Use: #{names.join(', ')}."
          Problem.new(pointer: "#{pointer}/#{name}", sentence: sentence)
        end
      end

      def no_object(pointer)
        [Problem.new(pointer: pointer, sentence: "#{pointer} is no object of names and values.")]
      end

      def described = @layers.map(&:described)

      def layer(horizon)
        readings = list(horizon["readings"]).map { |reading| reading.merge("named" => named(reading["named"])) }
        speaks = ReadDown.speaking(readings)
        reported = named(horizon["reported_class"])
        verdict = speaks ? verdict_of(speaks) : (Verdict.of_class(reported) if reported)
        Layer.new(
          described: seen(horizon, speaks ? speaks["named"] : reported, verdict),
          verdict: verdict,
          reading: speaks,
          readings: readings,
          reported: reported
        )
      end

      def seen(horizon, named, verdict)
        colour = horizon["moist_colour"]
        depths = DepthRange.new(horizon["upper_cm"], horizon["lower_cm"])
        HorizonDescription.new(
          designation: horizon["designation"] || depths.to_s,
          depths: depths,
          colour: colour && Munsell.new(colour),
          seen: horizon["seen"] || {},
          named: named,
          clay: verdict&.dig("clay", "mean"),
          boundary: horizon["boundary"] && Boundaries.range_cm(horizon["boundary"], system: @system)
        )
      end

      def named(given) = given.nil? || given.is_a?(NamedClass) ? given : NamedClass.from(given)

      def verdict_of(reading)
        reading["verdict"] ||
          Verdict.of(
            Grittle.assess(
              reading.fetch("observations", {}),
              evidence: "none",
              **reading.fetch("method", {}).transform_keys(&:to_sym)
            ),
            reading["named"]
          )
      end

      def horizon(layer)
        { "designation" => layer.described.designation, "upper_cm" => layer.described.depths.upper,
        "lower_cm" => layer.described.depths.lower,
          "named" => layer.described.named&.describe, "speaks" => layer.reading&.dig("id"),
          "own_clay" => layer.verdict&.fetch("own_clay", nil),
          "clay" => layer.verdict&.fetch("clay"), "readings" => readings(layer) }
      end

      # Every reading, which agree with the one that speaks and by how many classes they differ.
      def readings(layer)
        layer.readings.map do |reading|
          apart = layer.described.named&.apart(reading["named"]) if reading["named"] && reading != layer.reading
          {
            "id" => reading["id"],
            "named" => reading["named"]&.describe,
            "speaks" => reading == layer.reading,
            "apart" => apart,
            "apart_text" => apart && NamedClass.say_apart(apart),
            "far" => !apart.nil? && apart >= NamedClass::FAR
          }
        end
      end

      def touching
        @layers.each_cons(2).select { |upper, lower| upper.described.depths.lower == lower.described.depths.upper }
      end

      # What lies between the mineral horizons that touch, where both have a texture.
      def contrasts
        touching.filter_map do |upper, lower|
          above, below = [upper, lower].map { |layer| contrast_layer(layer) }
          next unless above && below

          Contrast.new(above, below, same_hand: same_hand?(upper, lower)).to_h
                  .merge("origin" => Origin.new(upper.described, lower.described).to_h)
        end
      end

      def contrast_layer(layer)
        shares = layer.verdict&.fetch("shares")
        return if shares.nil? || layer.described.organic?

        described = layer.described
        Contrast::Layer.new(
          designation: described.designation,
          depths: described.depths,
          clay: shares,
          own: layer.verdict["own_clay"],
          boundary: described.boundary,
          other_material: described.other_material?
        )
      end

      # Two readings by one hand on one day share that hand's bias.
      def same_hand?(*layers)
        readings = layers.map(&:reading)
        readings.all? && readings.all? { |reading| reading["by"] } && readings.map do |reading|
          reading.values_at("by", "day")
        end.uniq.size == 1
      end

      def perching = Perching.new(with_gaps(@layers.map { |layer| perching_layer(layer) }))

      # Water does not cross a gap that nobody described.
      def with_gaps(found)
        found.each_with_index.flat_map do |one, at|
          upper, lower = @layers[at, 2].map { |layer| layer.described.depths } if at < @layers.size - 1
          upper && upper.lower != lower.upper ? [one, nil] : [one]
        end
      end

      def perching_layer(layer)
        described = layer.described
        groups = layer.verdict&.fetch("groups")
        ranks = if described.organic? then { Perching::ORGANIC => 1.0 }
                elsif described.gravel? then { Perching::GRAVEL => 1.0 }
                elsif groups then Perching.ranks(groups)
                end
        ranks && Perching::Layer.new(name: described.designation, depth: described.depths.upper, ranks: ranks)
      end

      # The Australian key's question, for profiles by field grades.
      def form = (Form.new(described).to_h if @system == Keys::FieldGrades::SYSTEM)

      def questions(changes)
        Questions.between(described, changes) + @layers.flat_map { |layer| of_layer(layer) }
      end

      def of_layer(layer)
        at = [layer.described.designation, layer.described.depths.upper]
        names = layer.readings.select { |reading| reading["named"] }.map do |reading|
          [reading["named"], [reading["named"], reading["by"] && "by #{reading['by']}"].compact.join(" ")]
        end
        own = layer.verdict&.fetch("own_clay", nil)
        named = layer.described.named
        Questions.readings_apart(*at, names) + [(Questions.clay_outside(*at, named, own) if own && named)].compact
      end
    end
  end
end
