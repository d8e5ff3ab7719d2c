# frozen_string_literal: true

module Grittle
  # Every name that soil is given, by its system and code, with what kind of name it is and the part of the triangle it
  # stands for.
  module Names
    # What a name is.
    #
    #   kind    :region of a triangle, :grade of behaviour, :group of classes, :no_texture
    #   family  names that part the triangle among them
    #   plain   the code of the class it is or is part of; nil where it is none of a triangle's classes
    #   clay    percent, from and to, printed beside it or spanned by its class; nil where there is none
    Name = Struct.new(:system, :code, :name, :kind, :family, :plain, :region, :clay, keyword_init: true)

    FIGURES = Data::NAMES
    # Growers' words as classes. [our own model]
    WORDS = { "sandy" => %w[S LS SL], "loam" => %w[L SIL SI SCL CL SICL], "clay" => %w[SC SIC C] }.freeze
    # What organic soil is called in place of a texture class, by how far it has decayed: under a sixth, and over two
    # thirds, of its fibres are left when it is rubbed. [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3,
    # terms used in lieu of texture]
    ORGANIC = { "peat" => "peat", "mucky_peat" => "mucky peat", "muck" => "muck" }.freeze
    ORGANIC_HINTS = {
      "peat" => "fibres that last when rubbed",
      "mucky_peat" => "half decayed",
      "muck" => "hardly a fibre left"
    }.freeze
    ORGANIC_SYSTEM = "organic"
    SANDY_GRADES = %w[S LS CS SL SCL CLS SC LCS].freeze
    SILTY_GRADES = %w[ZL ZCL ZC LCZ ZL+ ZL- ZCL-].freeze

    @systems = {}

    class << self
      # @return [Array<String>] systems that give names
      def systems = [*TRIANGLES.keys, Keys::FieldGrades::SYSTEM, ORGANIC_SYSTEM]

      # @param system [String]
      # @return [Hash{String=>Name}] by code
      # @raise [UnknownName]
      def of(system) = @systems[system] ||= build(system).to_h { |name| [name.code, name.freeze] }.freeze

      # @return [Name, nil]
      def find(system, code) = systems.include?(system) ? of(system)[code] : nil

      # @return [Name]
      # @raise [UnknownName]
      def fetch(system, code) = of(system).fetch(code) { raise UnknownName.new("class", code, of(system).keys) }

      # @return [Array<Name>] all there are
      def all = systems.flat_map { |system| of(system).values }

      private

      def build(system)
        return grades if system == Keys::FieldGrades::SYSTEM
        return organic if system == ORGANIC_SYSTEM

        triangle = Grittle.triangle(system)
        classes = triangle.classes.values.map { |one| of_class(triangle, one) }
        classes + (system == Keys::Rolling::SYSTEM ? halves(classes) : []) +
          (system == Keys::TextureGroups::SYSTEM ? gathered(classes, triangle) : [])
      end

      def of_class(triangle, one)
        region = Region.new([one.polygon], &triangle.rules.fetch(one.code))
        Name.new(
          system: triangle.id,
          code: one.code,
          name: one.name,
          kind: :region,
          family: :classes,
          plain: one.code,
          region: region,
          clay: one.polygon.map(&:last).minmax
        )
      end

      # Halves of a class in the rolling key: poor and rich in clay.
      def halves(classes)
        Keys::Rolling::HALVES.map do |code, (plain, sign, said)|
          whole = classes.find { |one| one.code == plain }
          region = whole.region.where(strict: sign.negative?) { |_, clay| sign * (clay - FIGURES["poor_under"]) }
          low, high = whole.clay
          Name.new(
            system: whole.system,
            code: code,
            name: "#{whole.name}, #{said}",
            kind: :region,
            family: :halves,
            plain: plain,
            region: region,
            clay: sign.negative? ? [low, FIGURES["poor_under"]] : [FIGURES["poor_under"], high]
          )
        end
      end

      # Management groups and growers' words gather classes of the USDA triangle.
      def gathered(classes, triangle)
        groups = Keys::TextureGroups::GROUPS.map do |code, said|
          [code, said, :groups, classes.select { |one| triangle[one.code].group == said }]
        end
        words = WORDS.map { |code, members| [code, code, :words, classes.select { |one| members.include?(one.code) }] }
        (groups + words).map do |code, said, family, members|
          Name.new(
            system: triangle.id,
            code: code,
            name: said,
            kind: :group,
            family: family,
            region: Region.union(members.map(&:region))
          )
        end
      end

      def grades
        Keys::FieldGrades::GRADES.map do |code, (said, clay)|
          Name.new(
            system: Keys::FieldGrades::SYSTEM,
            code: code,
            name: said,
            kind: :grade,
            family: :grades,
            region: grade_region(code, clay),
            clay: clay&.minmax
          )
        end
      end

      # A grade stands for the clay beside it, cut where its name says sandy or silty.
      def grade_region(code, clay)
        clay ||= FIGURES["light_loams"]
        clay = (clay.begin - FIGURES["about"])..(clay.end + FIGURES["about"]) if clay.begin == clay.end
        region =
          Region
          .new([Region::WHOLE]) { true }
          .where { |_, percent| percent - clay.begin }
          .where { |_, percent| clay.end - percent }
        region = region.where(strict: true) { |sand, _| sand - FIGURES["sandy_over"] } if SANDY_GRADES.include?(code)
        if SILTY_GRADES.include?(code)
          region =
            region.where { |sand, percent| 100 - sand - percent - FIGURES["silty_from"] }
        end
        region
      end

      def organic
        ORGANIC.map do |code, said|
          Name.new(system: ORGANIC_SYSTEM, code: code, name: said, kind: :no_texture, family: :organic)
        end
      end
    end
  end
end
