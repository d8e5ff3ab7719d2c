# frozen_string_literal: true

module Grittle
  module Entry
    # What the columns of anybody's table of horizons mean, guessed from their headings; the person has the last word.
    module Columns
      # cm in one unit that depths are written in. [published: the international inch and foot, 1959]
      DEPTH_UNITS = {
        "cm" => 1,
        "mm" => 0.1,
        "m" => 100,
        "in" => 2.54,
        "ft" => 30.48
      }.freeze
      UNIT_WORDS = {
        "inch" => "in",
        "inches" => "in",
        "feet" => "ft",
        "foot" => "ft",
        "metre" => "m",
        "metres" => "m",
        "meter" => "m",
        "meters" => "m"
      }.merge(DEPTH_UNITS.keys.to_h { |unit| [unit, unit] }).freeze
      DEPTHS = %w[upper_cm lower_cm].freeze
      # What is no field of a horizon: what it is called here, and in headings.
      OWN = {
        "site" => ["Site", %w[site place location]],
        "profile" => ["Profile", %w[profile pit pedon hole plot bore borehole exposure]],
        "designation" => ["Horizon", %w[horizon designation layer hor hzn name]],
        "upper_cm" => ["Upper depth", %w[upper top from depthfrom depthtop topdepth upperdepth start min]],
        "lower_cm" => ["Lower depth", %w[lower bottom to base depthto depthbottom bottomdepth lowerdepth end max]],
        "boundary" => ["Lower boundary", %w[boundary distinctness]],
        "texture" => ["Texture class", %w[texture textureclass class grade texturegrade soiltexture]],
        "texture_system" => ["System of the class", %w[texturesystem classsystem system classification]],
        "texture_person" => ["Who gave the class", %w[texturedby describedby describer observer surveyor]],
        "texture_date" => ["Date of the class", %w[texturedate date described sampled]]
      }.freeze
      # Further headings for fields of a horizon; their own names and labels are known anyway.
      ALSO = {
        "moist_colour" => %w[colour color munsell munsellcolour munsellcolor moistcolor colormoist colourmoist],
        "dry_colour" => %w[drycolor colordry colourdry],
        "mottle_abundance" => %w[mottles mottling redox], "structure_grade" => %w[structure],
        "fragments_percent" => %w[stones gravel fragments coarse],
        "effervescence" => %w[fizz hcl reaction], "note" => %w[notes remarks remark comment comments]
      }.freeze
      NAMES = OWN.transform_values(&:first).merge(Fields::HORIZON.transform_values(&:label)).freeze

      # A column as it is understood: a name of NAMES or nil, and the unit of a depth.
      Guess = Struct.new(:target, :unit, keyword_init: true)

      module_function

      # @param headings [Array<String>]
      # @return [Array<Guess>] one a heading; no target twice
      def guess(headings)
        taken = []
        headings.map do |heading|
          target = target_of(heading)
          target = nil if taken.include?(target)
          taken << target
          Guess.new(target: target, unit: (unit_of(heading) || "cm" if DEPTHS.include?(target)))
        end
      end

      # @param value [Numeric] in +unit+
      # @return [Float] cm, to a mm
      # @raise [UnknownName]
      def to_cm(value, unit)
        factor = DEPTH_UNITS[unit] || raise(UnknownName.new("unit", unit, DEPTH_UNITS.keys))
        # Ten decimals take away what binary numbers add, so that a half goes up as on paper.
        (value * factor).to_f.round(10).round(1)
      end

      def target_of(heading)
        plain = words(heading).reject { |word| UNIT_WORDS.key?(word) }.join
        MEANINGS[plain] || MEANINGS[plain.delete_prefix("depth").delete_suffix("depth")]
      end

      def unit_of(heading) = UNIT_WORDS[words(heading).last]
      def words(heading) = heading.to_s.downcase.scan(/[[:alnum:]]+/)

      MEANINGS = [
        *OWN.flat_map { |name, (label, said)| [name.delete_suffix("_cm"), label, *said].map { |one| [one, name] } },
        *Fields::HORIZON.flat_map { |name, field| [name, field.label, *ALSO.fetch(name, [])].map { |one| [one, name] } }
      ].reverse.to_h { |said, name| [said.downcase.scan(/[[:alnum:]]+/).join, name] }.freeze

      private_class_method :target_of, :unit_of, :words
      private_constant :MEANINGS
    end
  end
end
