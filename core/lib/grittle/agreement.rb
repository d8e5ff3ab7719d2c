# frozen_string_literal: true

module Grittle
  # Whether two names of different systems mean the same soil. "Clay loam" is not the same thing in four systems, so names
  # are never compared as words: each outcome stands for a region of the triangle, and regions are compared.
  # [Grittle's own model]
  module Agreement
    # The share of the smaller region that must overlap.
    ENOUGH = 0.5
    # Percent that "sandy" and "silty" in a field grade's name stand for.
    SANDY_OVER = 50
    SILTY_FROM = 25
    SANDY_GRADES = %w[S LS CS SL SCL CLS SC LCS].freeze
    SILTY_GRADES = %w[ZL ZCL ZC LCZ ZL+ ZL- ZCL-].freeze

    # Keys whose outcomes stand for regions; the others name groups.
    KEYS = %w[ribbon_and_rub field_grades sand_first rolling two_numbers].freeze

    module_function

    # @param one, other [Array<String>] a system and a code each, such as ["uk", "CL"] or ["australia", "MC"]
    # @return [Symbol] :agree, :one_off or :two_off
    # @raise [UnknownName]
    def of(one, other)
      verdicts[[one, other]] ||= compare(*[one, other].map { |system, code| region(system, code) })
    end

    # Regions never change, so what was worked out once is kept.
    def verdicts = @verdicts ||= {}
    def regions = @regions ||= {}

    def compare(mine, theirs)
      overlap = (mine & theirs).size
      return :agree if overlap.positive? && overlap >= ENOUGH * [mine.size, theirs.size].min

      overlap.positive? || touching?(mine, theirs) ? :one_off : :two_off
    end

    # The whole-percent compositions an outcome stands for, as sand and clay in one number, sorted.
    # @return [Array<Integer>]
    def region(system, code)
      regions[[system, code]] ||= cells { |sand, silt, clay| holds?(system, code, sand, silt, clay) }.freeze
    end

    def holds?(system, code, sand, silt, clay)
      return grade_holds?(code, sand, silt, clay) if system == "australia"

      base, variant = code.split("/")
      triangle = Grittle.triangle(system)
      raise UnknownName.new("class", code, triangle.classes.keys) unless triangle.find(base)

      triangle.rules[base].call(sand, silt, clay) && variant_holds?(variant, clay)
    end

    # Percent clay that parts poor from rich in the rolling key [published: FAO Guidelines 2006, table 25].
    POOR_UNDER = 10

    def variant_holds?(variant, clay)
      case variant
      when nil then true
      when "poor" then clay < POOR_UNDER
      else clay >= POOR_UNDER
      end
    end

    # "About 5" and "about 25" read as 2-8 and 22-28; an open grade has no clay of its own and stands for no region.
    def grade_holds?(code, sand, silt, clay)
      _, range = Keys::FieldGrades::GRADES.fetch(code) { raise UnknownName.new("grade", code, Keys::FieldGrades::GRADES.keys) }
      range ||= 10..22
      range = (range.begin - 3)..(range.end + 3) if range.begin == range.end
      range.cover?(clay) && (SANDY_GRADES.include?(code) ? sand > SANDY_OVER : true) &&
        (SILTY_GRADES.include?(code) ? silt >= SILTY_FROM : true)
    end

    # Regions that share a boundary: a cell of one lies beside a cell of the other along an edge.
    def touching?(mine, theirs)
      set = theirs.to_h { |cell| [cell, true] }
      mine.count { |cell| [1, -1, STEP, -STEP, STEP - 1, 1 - STEP].any? { |move| set[cell + move] } } > 2
    end

    STEP = 1000 # sand * STEP + clay
    private_constant :STEP

    def cells
      (0..100).flat_map do |sand|
        (0..(100 - sand)).filter_map { |clay| (sand * STEP) + clay if yield(sand, 100 - sand - clay, clay) }
      end
    end

    private_class_method :verdicts, :regions, :compare, :region, :holds?, :variant_holds?, :grade_holds?, :touching?, :cells
  end
end
