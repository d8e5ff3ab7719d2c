# frozen_string_literal: true

module Grittle
  # Whether two names of different systems mean the same soil. "Clay loam" is not the same thing in four systems, so names
  # are never compared as words: each outcome stands for a region of the triangle, and regions are compared.
  # [Grittle's own model]
  module Agreement
    # The share of the smaller region that must overlap.
    ENOUGH = 0.5

    # Keys whose outcomes stand for regions; the others name groups.
    KEYS = %w[ribbon_and_rub field_grades sand_first rolling two_numbers].freeze

    module_function

    # @param one, other [Array<String>] a system and a code each, such as ["uk", "CL"] or ["australia", "MC"]
    # @return [Symbol] :agree, :one_off or :two_off
    # @raise [UnknownName]
    def of(one, other)
      verdicts[[one, other]] ||= compare(*[one, other].map { |system, code| Regions.cells(system, code) })
    end

    # Regions never change, so what was worked out once is kept.
    def verdicts = @verdicts ||= {}

    def compare(mine, theirs)
      overlap = (mine & theirs).size
      return :agree if overlap.positive? && overlap >= ENOUGH * [mine.size, theirs.size].min

      overlap.positive? || touching?(mine, theirs) ? :one_off : :two_off
    end

    # Regions that share a boundary: a cell of one lies beside a cell of the other along an edge.
    def touching?(mine, theirs)
      set = theirs.to_h { |cell| [cell, true] }
      mine.count { |cell| Regions::BESIDE.any? { |move| set[cell + move] } } > 2
    end

    private_class_method :verdicts, :compare, :touching?
  end
end
