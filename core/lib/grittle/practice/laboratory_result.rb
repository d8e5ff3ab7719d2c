# frozen_string_literal: true

module Grittle
  module Practice
    # One result of a laboratory for one sample: percents with their sd, by which method, and what was read into what
    # was written. [common practice and our own] Frozen.
    class LaboratoryResult
      METHODS = { "pipette" => "Pipette", "hydrometer" => "Hydrometer", "laser" => "Laser", "other" => "Other" }.freeze
      SDS = FIGURES["laboratory_sd"]
      # A plus-minus that nobody explained is two sd.
      UNEXPLAINED = FIGURES["laboratory_sds_told"]
      # µm: the limit that the classes of the USDA have.
      USUAL_LIMIT = 50

      attr_reader :percents, :sds, :method_name, :silt_limit, :done

      # @param written [Hash{String=>Object}] "sand", "silt", "clay", "uncertainty" as typed, "method" (one of METHODS),
      #   "silt_limit" (µm)
      # @param determinations [Integer] that it is the mean of
      # @param sd [Numeric, nil] points: how sure it is where nothing else says
      # @raise [InvalidInput, UnknownName]
      def initialize(written, determinations: 1, sd: nil)
        @method_name = written["method"].to_s.empty? ? "other" : written["method"]
        raise UnknownName.new("method", @method_name, METHODS.keys) unless METHODS.key?(@method_name)

        row = LaboratoryRow.new(written)
        @percents = row.percents
        @silt_limit = limit(written["silt_limit"])
        @done = row.done + (@silt_limit == USUAL_LIMIT ? [] : ["silt to #{@silt_limit} µm: only its clay is compared"])
        told = told(written["uncertainty"])
        @sds = @percents.to_h do |part, percent|
          [part, ((row.sds[part] || told || sd || usual(percent)) / Math.sqrt(determinations)).round(2)]
        end.freeze
        freeze
      end

      # @return [Boolean] whether its class and silt are those of the USDA's limits
      def comparable? = silt_limit == USUAL_LIMIT

      # Laser reads clay low: it is shown and calibrates no hand.
      # @return [Boolean]
      def calibrates? = method_name != "laser"

      # @return [Composition] by the USDA's limit of silt; an estimate where it has another
      def composition
        found = Composition.new(sand: percents["sand"], clay: percents["clay"])
        comparable? ? found : SiltLimit.convert(found, from: silt_limit, to: USUAL_LIMIT)
      end

      # @return [String] its class in the USDA's triangle
      def class_name = Triangles::USDA.classify(composition).name

      # @return [String] for a person
      def to_s
        parts = percents.map { |part, percent| "#{part} #{Units.number(percent)}" }.join(", ")
        "#{class_name}#{' by conversion' unless comparable?}: #{parts} % (#{METHODS[method_name].downcase})"
      end

      private

      def usual(percent)
        from, part = SDS.fetch(method_name)
        from + (part * percent)
      end

      def told(said)
        text = said.to_s.strip.delete_prefix("±").delete_prefix("+-").delete_prefix("+/-").strip
        return if text.empty?

        number = Entry::Field.number(text.delete_suffix("%").strip)
        refuse("An uncertainty is a number, not “#{said}”.") unless number&.positive?
        @done += ["± #{Units.number(number)} read as #{Units.number(UNEXPLAINED)} sd"]
        number / UNEXPLAINED
      end

      def limit(said)
        return USUAL_LIMIT if said.to_s.strip.empty?

        number = Entry::Field.number(said.to_s)
        return number.to_i if number && SiltLimit::MEASURED.key?(number.to_i)

        refuse("The silt limit is one of #{SiltLimit::MEASURED.keys.join(', ')} µm, not “#{said}”.")
      end

      def refuse(sentence) = raise(InvalidInput, [Problem.new(pointer: "", sentence: sentence)])
    end
  end
end
