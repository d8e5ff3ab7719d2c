# frozen_string_literal: true

module Grittle
  module Keys
    # The page of a table key, in three layers: what the handbook prints, in its words; how those words are read, as
    # answers that fit; and our own widening, the answers next to those that fit. Checked as it loads. Frozen.
    class Page
      # @return [String] the heading, where the page is printed, and how far our copy can be trusted
      attr_reader :title, :source, :mark

      # @return [Hash{String=>Hash{String=>String}}] class => column => words, as printed
      attr_reader :printed

      # @return [Hash{String=>Hash{String=>String}}] class => test => answers parted by blanks, or lengths in mm
      attr_reader :read, :near

      # @param mark [String] one of Figures::MARKS, for what is printed and how it is read; what is near is always our
      #   own
      # @raise [ArgumentError] naming what does not fit together
      def initialize(title:, source:, mark:, printed:, read:, near:)
        @title = title
        @source = source
        @mark = mark
        @printed = printed
        @read = read
        @near = near
        check
        freeze
      end

      # @return [Hash{String=>Hash{String=>Cell}}] class => test => what fits and what is near
      def cells
        read
          .to_h do |code, row|
            [code, row.to_h { |test, fits| [test, Cell.new(fits, near.dig(code, test) || "")] }.freeze]
          end
          .freeze
      end

      private

      def check
        refuse("the mark #{@mark} is unknown") unless Figures::MARKS.key?(@mark)
        refuse("the classes of its layers differ") unless [read, near].all? { |layer| layer.keys == printed.keys }
        read.each { |code, row| row.each { |test, fits| check_cell(code, test, fits, near.dig(code, test).to_s) } }
        near.each do |code, row|
          refuse("#{code} widens what it does not read") unless (row.keys - read[code].keys).empty?
        end
      end

      def check_cell(code, test, fits, beside)
        return if test == "ribbons"

        states = Tests::Vocabulary::ALL.fetch(test)[:states]
        said = fits.split + beside.split
        return if (said - states).empty? && said.uniq == said

        refuse(
          "#{code} has an answer to #{test} that is none, or twice"
        )
      end

      def refuse(why) = raise(ArgumentError, "the page #{title}: #{why}")
    end
  end
end
