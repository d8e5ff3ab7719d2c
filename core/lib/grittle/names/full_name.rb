# frozen_string_literal: true

module Grittle
  # A class with all that is said about it: how heavy, what grade of sand, how many fragments.
  #
  #   FullName.new(Triangles::USDA["SL"], sand_grade: "fine", fragments: 20).to_s  # => "gravelly fine sandy loam"
  class FullName
    # The dominant grain, named for sand, loamy sand and sandy loam only; medium has no word.
    # [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3]
    GRADED = %w[S LS SL].freeze
    GRADES = { "coarse" => %w[coarse CO], "medium" => ["", ""], "fine" => %w[fine F],
               "very_fine" => ["very fine", "VF"] }.freeze
    # Percent by volume of coarse fragments => modifier, and from where on there is one.
    MODIFIERS = Data::NAMES["fragments"].to_a.freeze
    FRAGMENTS_FROM = MODIFIERS.last.first
    # Size class => noun and adjective: gravel 2-75 mm, cobbles 75-250, stones 250-600, boulders > 600. [published:
    # same]
    FRAGMENTS = { "gravel" => "gravelly", "cobbles" => "cobbly", "stones" => "stony", "boulders" => "bouldery" }.freeze
    FRAGMENT_CODES = { "gravel" => "GR", "cobbles" => "CB", "stones" => "ST", "boulders" => "BY" }.freeze
    DEGREE_CODES = { "extremely" => "X", "very" => "V", "" => "" }.freeze
    POSITIONS = { "light" => "-", "heavy" => "+" }.freeze

    # In field grades coarse and fine sandy may be said of any grade. [from memory: Australian Soil and Land Survey
    # Field Handbook, 3rd ed., 2009]
    SAND_WORD = /\bsandy?\b/

    # @param texture_class [TextureClass, Names::Name] whatever has a code and a name
    # @param sand_grade [String, nil] of GRADES
    # @param fragments [Numeric, nil] percent by volume over 2 mm
    # @param fragment_size [String, nil] of FRAGMENTS; nil is gravel
    # @param position [String, nil] "light" or "heavy": the lower or upper third of the class's clay
    # @raise [UnknownName]
    def initialize(texture_class, sand_grade: nil, fragments: nil, fragment_size: nil, position: nil)
      {
        sand_grade: [sand_grade, GRADES],
        fragment_size: [fragment_size, FRAGMENTS],
        position: [position, POSITIONS]
      }.each do |field, (value, table)|
        raise UnknownName.new(field, value, table.keys) unless value.nil? || table.key?(value)
      end
      @class = texture_class
      @of_grade = texture_class.is_a?(Names::Name) && texture_class.kind == :grade
      @graded = @of_grade || GRADED.include?(texture_class.code)
      @grade = @graded ? GRADES.fetch(sand_grade || "medium") : ["", ""]
      @degree = MODIFIERS.find { |least, _| fragments.to_f >= least }
      @size = fragment_size || FRAGMENTS.keys.first
      @position = position
      freeze
    end

    # @param size [String, nil] as it is written down of a face
    # @return [String, nil] of FRAGMENTS
    def self.size_word(size) = FRAGMENTS.key?(size) ? size : nil

    # @return [String] in words; from 90 % fragments the fragments' name alone
    def to_s
      return @size if fragments_alone?

      [degree_word, fragment_word, @position, graded_name].reject { |word| word.to_s.empty? }.join(" ")
    end

    # @return [String] the management group; very fine sandy loam is the one name whose grade moves it.
    #   [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3]
    def group = @class.code == "SL" && @grade == GRADES["very_fine"] ? "medium" : @class.group

    # @return [String] such as "GR-FSL" or "CL+"
    def code
      return FRAGMENT_CODES[@size] if fragments_alone?

      modifier = @degree && "#{FRAGMENT_CODES[@size]}#{DEGREE_CODES[@degree.last]}-"
      "#{modifier}#{graded_code}#{POSITIONS[@position]}"
    end

    private

    def fragments_alone? = @degree && @degree.last.nil?
    def degree_word = @degree&.last
    def fragment_word = @degree && FRAGMENTS[@size]

    # "loamy fine sand", but "fine sandy loam"; a grade that says nothing of sand gets it behind a comma.
    def graded_name
      word = @grade.first
      name = @class.name
      return name if word.empty?
      return "#{name}, #{word} sandy" unless name.match?(SAND_WORD)

      @of_grade || @class.code == "LS" ? name.sub(SAND_WORD) { |sand| "#{word} #{sand}" } : "#{word} #{name}"
    end

    # "LFS" and "FSL" likewise.
    def graded_code
      letters = @grade.last
      return @class.code if letters.empty?
      return @class.code.sub("S") { "#{letters}S" } if @of_grade && @class.code.include?("S")
      return "#{@class.code}#{letters}S" if @of_grade

      @class.code == "LS" ? "L#{letters}S" : "#{letters}#{@class.code}"
    end
  end
end
