# frozen_string_literal: true

module Grittle
  # A class as somebody wrote it, read as one of the names that there are: by code or by word, with what is said of sand
  # and of light and heavy. What is said of fragments is left in the text: it has no figure.
  module Written
    # Words by which people call the systems.
    SYSTEMS = {
      "usda" => %w[usda us soiltaxonomy],
      "canada" => %w[canada canadian cssc],
      "fao_wrb" => %w[fao wrb faowrb international],
      "uk" => %w[uk england ssew british unitedkingdom],
      "australia" => %w[australia australian fieldgrade fieldgrades fieldtexturegrade],
      "organic" => %w[organic]
    }.freeze
    # Where no system is said, the first that has the name.
    ORDER = %w[usda australia uk canada fao_wrb organic].freeze
    FRAGMENTS = /\A(?:(?:extremely|very)\s+)?(?:#{FullName::FRAGMENTS.values.join('|')})\s+/
    GRADE = /\b(very fine|fine|coarse|medium)\s+(?=sand)/
    POSITION = /\A(light|heavy)\s+/
    LONGEST = 120

    module_function

    # @param text [String] such as "FSL", "sandy silt loam", "Heavy clay", "gravelly fine sandy loam", "clay loam, fine
    #   sandy"
    # @param system [String, nil] whose names they are, as people call it; nil looks through all
    # @return [NamedClass, nil]
    # @raise [UnknownName] for a system that nobody is called by
    def read(text, system: nil)
      plain = text.to_s.strip.downcase.gsub(/\s+/, " ")
      systems = system.to_s.strip.empty? ? ORDER : [self.system(system)]
      readings(plain).each do |words, added|
        systems.each { |one| (found = named(one, words, added)) && (return found) }
      end
      nil
    end

    # @return [String] a name of Names.systems
    # @raise [UnknownName]
    def system(text)
      plain = text.downcase.gsub(/[^a-z]/, "")
      found = SYSTEMS.find { |name, said| name.delete("_") == plain || said.include?(plain) }
      found ? found.first : raise(UnknownName.new("system", text, Names.systems))
    end

    # As it stands first; then without what may be added to a name.
    def readings(plain)
      bare = plain.sub(FRAGMENTS, "")
      grade = bare[GRADE, 1]&.tr(" ", "_")
      ungraded = bare.sub(GRADE, "").strip
      position = ungraded[POSITION, 1]
      [[plain, {}], [bare, {}], [ungraded, { sand_grade: grade }.compact],
       [ungraded.sub(POSITION, ""), { sand_grade: grade, position: position }.compact], *coded(bare)].uniq
    end

    # "FSL", "LFS", "CL+", and the Australian "FSCL".
    def coded(bare)
      code = bare.upcase
      position = { "+" => "heavy", "-" => "light" }[code[-1]]
      stem = position ? code[0...-1] : code
      grades = { "VF" => "very_fine", "F" => "fine", "CO" => "coarse" }
      found = grades.filter_map do |letters, grade|
        # LFS is loamy fine sand: the grade stands before the last letter.
        [stem.sub(/#{letters}(?=S|L)/, ""), grade] if stem.delete_prefix("L").match?(/^#{letters}(?:S|L)/)
      end
      [[stem.downcase, { position: position }.compact], *found.map do |plain, grade|
        [plain.downcase, { sand_grade: grade, position: position }.compact]
      end]
    end

    def named(system, words, added)
      found = Names.of(system).values.find do |name|
        [name.code.downcase, name.code.tr("_", " ").downcase, name.name.downcase].include?(words)
      end
      found &&
        NamedClass.new(system: system, code: found.code, **(%i[group no_texture].include?(found.kind) ? {} : added))
    end
    private_class_method :readings, :coded, :named
  end
end
