# frozen_string_literal: true

module Grittle
  module Evidence
    # The states of the model: the 5151 compositions of whole percent, clay by clay and within it sand by sand, so that
    # a row of one clay content is one run of cells.
    module Grid
      ROWS =
        (0..100).map { |clay| (0..(100 - clay)).map { |sand| [sand, 100 - sand - clay, clay].freeze }.freeze }.freeze
      CELLS = ROWS.flatten(1).freeze
      SIZE = CELLS.size
      PLACES = (0...SIZE).to_a.freeze
      SAND, SILT, CLAY = CELLS.transpose.map(&:freeze)
      # Where the row of a clay content begins.
      STARTS = ROWS.each_with_object([0]) { |row, starts| starts << (starts.last + row.size) }.freeze

      # Worked out when first asked for, then kept.
      @classes = {}
      @runs = {}
      @places = {}
      @areas = {}
      @slots = {}

      # Where the cells of each class lie along an axis, packed: what is gathered by class and place takes one number a
      # slot.
      #
      #   of_cell  cell by cell, its slot      places  slot by slot, its place on the axis
      #   classes  for each class of the system the range of its slots
      Slots = Struct.new(:of_cell, :places, :classes, keyword_init: true)

      # @return [Slots]
      def self.slots(system, axis)
        @slots[[system, axis.name]] ||= begin
          codes, class_of = classes(system)
          along = axis.places.last > 300 ? places(axis).map { |place| (place + 5).div(10) * 10 } : places(axis)
          pairs = PLACES.map { |at| [class_of[at], along[at]] }
          order = pairs.uniq.sort
          numbers = order.each_with_index.to_h
          from = 0
          ranges = codes.each_index.map do |place|
            count = order.count { |one, _| one == place }
            (from...(from += count))
          end
          Slots.new(
            of_cell: pairs.map { |pair| numbers[pair] }.freeze,
            places: order.map(&:last).freeze,
            classes: ranges.freeze
          ).freeze
        end
      end

      # @return [Array] the codes of a system, and for each cell the place of its class among them
      def self.classes(system)
        @classes[system] ||= begin
          triangle = Grittle.triangle(system)
          codes = triangle.classes.keys
          rules = codes.map { |code| triangle.rules[code] }
          [
            codes.freeze,
            CELLS.map { |sand, silt, clay| rules.index { |rule| rule.call(sand, silt, clay) } }.freeze
          ].freeze
        end
      end

      # A class is met once or twice a row, so that its share is a few hundred differences of running sums and not 5151
      # additions.
      # @return [Array<Array>] for each class the runs of cells it holds: from, to (not included)
      def self.runs(system)
        @runs[system] ||= begin
          codes, places = classes(system)
          runs = STARTS.each_cons(2).flat_map do |from, to|
            (from...to)
              .chunk_while { |one, other| places[one] == places[other] }
              .map { |run| [places[run.first], run.first, run.last + 1] }
          end
          codes
            .each_index
            .map { |place| runs.select { |run| run.first == place }.map { |run| run.drop(1).freeze }.freeze }
            .freeze
        end
      end

      # @return [Hash{String=>Float}] the share of the triangle that each class of a system takes
      def self.areas(system)
        @areas[system] ||= classes(system).first.zip(runs(system)).to_h do |code, runs|
          [code, runs.sum { |from, to| to - from } / SIZE.to_f]
        end.freeze
      end

      # @return [Array<Integer>] cell by cell, its place on an axis
      def self.places(axis) = @places[axis.name] ||= CELLS.map { |cell| axis.place(*cell) }.freeze

      # @return [Integer] the cell of whole percents
      def self.index(sand, clay) = STARTS[clay] + sand

      # @param named [NamedClass]
      # @return [Array<Integer>] the cells within it
      def self.of(named) = named.cells.map { |cell| index(*cell.divmod(Region::STEP)) }
    end
  end
end
