# frozen_string_literal: true

module Grittle
  module Practice
    # What a teacher says of a soil where no laboratory has: its class and its clay. Sand and silt are then those in the
    # middle of the class at so much clay. [our own]
    module TeacherWord
      module_function

      # @param code [String] of the USDA, in any case
      # @param clay [Numeric] percent
      # @return [Composition]
      # @raise [InvalidInput] for an unknown class, or one that has no such clay
      def composition(code, clay)
        found = Triangles::USDA.find(code.to_s.strip.upcase)
        refuse("There is no class “#{Spoken.of(code)}” in the USDA's triangle.") unless found
        within = Evidence::Grid.of(NamedClass.new(system: "usda", code: found.code))
        cells = Evidence::Grid::CELLS.values_at(*within)
        sands = cells.select { |cell| cell.last == clay.round }.map(&:first)
        refuse("#{found.name.capitalize} has no soil with #{Units.number(clay)} % clay.") if sands.empty?
        Composition.new(sand: [sands.sum / sands.size.to_f, 100 - clay].min, clay: clay)
      end

      def refuse(sentence) = raise(InvalidInput, [Problem.new(pointer: "", sentence: sentence)])
      private_class_method :refuse
    end
  end
end
