# frozen_string_literal: true

module Grittle
  module Consequences
    # A table of the assessor's own authority, as it was given: which value goes with which texture and structure.
    # Grittle looks it up and has no value of its own in it. Frozen.
    #
    #   match            a soil category (1 to 6), a class of the USDA or a field texture grade
    #   structure_grade, structure_type  words of the horizon's fields; blank for any
    #   value            a number, or "unsuitable"
    class AssessorTable
      COLUMNS = %w[match structure_grade structure_type value unit note].freeze
      UNSUITABLE = "unsuitable"
      LIMITING = { "lowest" => "The lowest value limits", "highest" => "The highest value limits" }.freeze
      STRUCTURE = %w[structure_grade structure_type].freeze
      CATEGORY = /\A(?:category\s*)?([1-6])\z/i
      LIKELY_FROM = FIGURES["table_from"]
      CLAYS = %w[SC SIC C].freeze
      LIGHT_TO = FIGURES["category_light_clay_to"]
      MOST_ROWS = 500

      # A row as it was read: categories, class and grade that it is for, the structure it asks for, and what it says.
      Row = Struct.new(:number, :match, :category, :class_code, :grade, :structure, :value, :unit, :note,
                       keyword_init: true) do
        # @return [Boolean] whether it is for such a horizon, its structure aside
        def for?(kind)
          [kind[:category] == category && !category.nil?, kind[:class_code] == class_code &&
            !class_code.nil?, kind[:grade] == grade && !grade.nil?].any?
        end

        # @return [Integer] how much it says of what it is for: a class or grade says more than a category
        def filled = (2 * structure.size) + (category ? 0 : 1)
      end

      # @return [Array<Row>]
      attr_reader :rows

      # @param rows [Array<Hash{String=>String}>] by COLUMNS, as written
      # @param limiting [String] one of LIMITING
      # @raise [InvalidInput] naming every bad row
      def initialize(rows, limiting: "lowest")
        problems = []
        raise UnknownName.new("limiting", limiting, LIMITING.keys) unless LIMITING.key?(limiting)

        AssessorTable.refuse("The table has no row.") if rows.empty?
        AssessorTable.refuse("The table has more than #{MOST_ROWS} rows.") if rows.size > MOST_ROWS
        @limiting = limiting
        @rows = rows.each.with_index(1).filter_map do |row, number|
          AssessorTable.read(row, number)
        rescue InvalidInput => e
          problems.concat(e.problems.map { |one| Problem.new(pointer: "/rows/#{number - 1}", sentence: one.sentence) })
          nil
        end
        raise InvalidInput, problems unless problems.empty?

        freeze
      end

      # @param layers [Array<Hash>] :designation, :upper_cm, :lower_cm, :odds (by class of the USDA and category),
      #   :grade (code of a field texture grade, or nil), :seen
      # @param base_cm, interest_cm [Numeric, nil] from the intended base to the depth of interest
      # @return [Array<Hash>] every row that may hold, the most limiting first: "horizon", "upper_cm", "lower_cm",
      #   "what", "odds", "value", "unit", "note", "says"
      def look_up(layers, base_cm: nil, interest_cm: nil)
        concerned = layers.select do |layer|
          layer[:lower_cm] > (base_cm || 0) && layer[:upper_cm] < (interest_cm || Float::INFINITY)
        end
        concerned.flat_map { |layer| of(layer) }.sort_by.with_index { |found, at| [*limit(found), at] }
      end

      # What a composition's class and clay are in soil categories 1 to 6 of on-site wastewater. [from memory: AS/NZS
      # 1547:2012, whose field texture grades are put onto the classes of the USDA; our own]
      # @param code [String] class of the USDA
      # @param clay [Numeric] percent
      # @return [Integer]
      def self.category(code, clay)
        return clay < LIGHT_TO ? 5 : 6 if CLAYS.include?(code)

        FIGURES["soil_category"].find { |_, codes| codes.include?(code) }.first
      end

      # @param row [Hash{String=>String}] as written
      # @return [Row]
      # @raise [InvalidInput]
      def self.read(row, number)
        match = row["match"].to_s.strip
        category = match[CATEGORY, 1]&.to_i
        names = category ? {} : names_of(match)
        structure = STRUCTURE.to_h { |name| [name, Entry::Fields::HORIZON[name].read(row[name])] }.compact
        Row.new(number: number, match: match, category: category, **names, structure: structure,
                value: value(row["value"]), unit: text(row["unit"]), note: text(row["note"])).freeze
      end

      def self.names_of(match)
        found = { class_code: "usda", grade: "australia" }.transform_values do |system|
          Written.read(match, system: system)&.code
        end
        found.values.any? ? found : refuse("“#{match}” is no soil category, class or field texture grade.")
      end

      def self.value(written)
        said = written.to_s.strip
        return UNSUITABLE if said.casecmp?(UNSUITABLE)

        Entry::Field.number(said) || refuse("A value is a number or “unsuitable”, not “#{said[0, 40]}”.")
      end

      def self.text(written)
        said = written.to_s.strip
        said.length > 200 ? refuse("A text has at most 200 characters.") : (said unless said.empty?)
      end

      # @raise [InvalidInput]
      def self.refuse(sentence) = raise(InvalidInput, [Problem.new(pointer: "", sentence: sentence)])
      private_class_method :names_of, :value, :text

      private

      # Of each class that is likely enough the row that says most of it.
      def of(layer)
        likely = layer[:odds].select { |_, odds| odds >= LIKELY_FROM }
        return [nothing(layer, nil, nil, "It has no texture yet.")] if likely.empty?

        likely.map { |(code, category), odds| chosen(layer, code, category, odds) }
      end

      def chosen(layer, code, category, odds)
        kind = { class_code: code, category: category, grade: layer[:grade] }
        own = rows.select { |row| row.for?(kind) }
        return nothing(layer, what(kind), odds, "The table has no row for it.") if own.empty?

        fitting = own.select { |row| row.structure.all? { |name, word| layer[:seen][name] == word } }
        return nothing(layer, what(kind), odds, without_row(layer)) if fitting.empty?

        best = fitting.max_by(&:filled)
        nothing(layer, what(kind), odds, undescribed(own, layer))
          .merge("value" => best.value, "unit" => best.unit, "note" => best.note, "row" => best.match)
      end

      def nothing(layer, what, odds, says)
        { "horizon" => layer[:designation], "upper_cm" => layer[:upper_cm], "lower_cm" => layer[:lower_cm],
          "what" => what, "odds" => odds&.round(3), "value" => nil, "unit" => nil, "note" => nil, "row" => nil,
          "says" => says }
      end

      def what(kind)
        name = kind[:grade] ? NamedClass.new(system: "australia", code: kind[:grade]).name : nil
        "#{name || Triangles::USDA[kind[:class_code]].name} (category #{kind[:category]})"
      end

      def without_row(layer)
        described?(layer) ? "The table has no row for its structure." : "Its structure was not described."
      end

      # Rows that ask for a structure could not be looked at.
      def undescribed(own, layer)
        "Its structure was not described: a row for any structure." \
          if !described?(layer) && own.any? { |row| row.structure.any? }
      end

      def described?(layer) = STRUCTURE.any? { |name| layer[:seen][name] }

      # "unsuitable" limits most, then the values; what has none comes last.
      def limit(found)
        value = found["value"]
        return [0, 0] if value == UNSUITABLE
        return [2, 0] if value.nil?

        [1, @limiting == "lowest" ? value : -value]
      end
    end
  end
end
