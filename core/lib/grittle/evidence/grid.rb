# frozen_string_literal: true

module Grittle
  module Evidence
    # The states of the model: the 5151 compositions of whole percent, clay by clay and within it sand by sand, so that a
    # row of one clay content is one run of cells.
    module Grid
      ROWS = (0..100).map { |clay| (0..(100 - clay)).map { |sand| [sand, 100 - sand - clay, clay].freeze }.freeze }.freeze
      CELLS = ROWS.flatten(1).freeze
      SIZE = CELLS.size
      PLACES = (0...SIZE).to_a.freeze
      SAND, SILT, CLAY = CELLS.transpose.map(&:freeze)
      # Where the row of a clay content begins.
      STARTS = ROWS.each_with_object([0]) { |row, starts| starts << (starts.last + row.size) }.freeze

      # System => codes, and for each cell the place of its class among them.
      CLASSES = TRIANGLES.transform_values do |triangle|
        codes = triangle.classes.keys
        rules = codes.map { |code| triangle.rules[code] }
        [codes.freeze, CELLS.map { |sand, silt, clay| rules.index { |rule| rule.call(sand, silt, clay) } }.freeze].freeze
      end.freeze

      # System => for each class the runs of cells it holds: from, to (not included). A class is met once or twice a row, so
      # that its share is a few hundred differences of running sums and not 5151 additions.
      RUNS = CLASSES.transform_values do |codes, places|
        runs = STARTS.each_cons(2).flat_map do |from, to|
          (from...to).chunk_while { |one, other| places[one] == places[other] }.map { |run| [places[run.first], run.first, run.last + 1] }
        end
        codes.each_index.map { |place| runs.select { |run| run.first == place }.map { |run| run.drop(1).freeze }.freeze }.freeze
      end.freeze

      # @return [Integer] the cell of whole percents
      def self.index(sand, clay) = STARTS[clay] + sand

      # @return [Array<Integer>] the cells of a name, see {Regions.cells}
      # @raise [UnknownName]
      def self.of(system, code) = Regions.cells(system, code).map { |cell| index(*cell.divmod(Regions::STEP)) }
    end
  end
end
