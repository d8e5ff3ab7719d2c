# frozen_string_literal: true

module Grittle
  # The part of the texture triangle that a name stands for, whatever kind of name it is: a class of a system, half of one
  # ("sandy loam, poor in clay"), a field grade, or a management group. Drawn as polygons, compared and averaged as
  # whole-percent compositions.
  module Regions
    # Percent that "sandy" and "silty" in a field grade's name stand for. [Grittle's own model]
    SANDY_OVER = 50
    SILTY_FROM = 25
    SANDY_GRADES = %w[S LS CS SL SCL CLS SC LCS].freeze
    SILTY_GRADES = %w[ZL ZCL ZC LCZ ZL+ ZL- ZCL-].freeze
    # Percent clay that "about 5" and "about 25" reach to either side, and the clay of loams that are light by their
    # ribbon, for which the table has none. [Grittle's own model]
    ABOUT = 3
    LIGHT_LOAMS = (10..22)

    # Percent clay that parts poor from rich in the rolling key. [published: FAO Guidelines 2006, table 25]
    POOR_UNDER = 10

    # Growers' words as classes. [Grittle's own model]
    WORDS = { "sandy" => %w[S LS SL], "loam" => %w[L SIL SI SCL CL SICL], "clay" => %w[SC SIC C] }.freeze

    WHOLE = [[100, 0], [0, 0], [0, 100]].freeze
    STEP = 1000
    # What lies beside a cell along an edge, in the numbers of {cells}.
    BESIDE = [1, -1, STEP, -STEP, STEP - 1, 1 - STEP].freeze

    module_function

    # @param system [String] a triangle, or "australia"
    # @param code [String] a code as the keys of that system write it, such as "CL", "SL/poor", "MC", "moderately_fine"
    # @return [Array<Array<Array<Numeric>>>] polygons of vertices [sand, clay] in percent
    # @raise [UnknownName]
    def polygons(system, code) = kept(:polygons, system, code) { outline(system, code).freeze }

    # @return [Array<Integer>] the whole-percent compositions within, each as sand * STEP + clay, sorted
    # @raise [UnknownName]
    def cells(system, code)
      kept(:cells, system, code) do
        inside = test(system, code)
        (0..100).flat_map do |sand|
          (0..(100 - sand)).filter_map { |clay| (sand * STEP) + clay if inside.call(sand, 100 - sand - clay, clay) }
        end.freeze
      end
    end

    # @return [Composition] the middle: what a drawing takes its grain from. No estimate of any sample.
    # @raise [UnknownName]
    def middle(system, code)
      kept(:middle, system, code) do
        all = cells(system, code)
        Composition.new(sand: all.sum { |cell| cell / STEP } / all.size.to_f, clay: all.sum { |cell| cell % STEP } / all.size.to_f)
      end
    end

    # Regions never change, so what was worked out once is kept.
    def kept(what, system, code) = (@kept ||= {})[[what, system, code]] ||= yield

    # @return [Proc] of sand, silt and clay in percent
    def test(system, code)
      return grade_test(code) if system == "australia"

      triangle = Grittle.triangle(system)
      base, variant = code.split("/")
      rules = members(triangle, base).map { |member| triangle.rules.fetch(member) }
      lambda do |sand, silt, clay|
        rules.any? { |rule| rule.call(sand, silt, clay) } && (variant.nil? || (variant == "poor") == (clay < POOR_UNDER))
      end
    end

    # The classes of a triangle that a name gathers: itself, a group, or a grower's word.
    def members(triangle, name)
      return [name] if triangle.find(name)

      group = triangle.classes.values.select { |one| one.group == name.tr("_", " ") }.map(&:code)
      found = group.empty? ? WORDS.fetch(name, []) : group
      found.empty? ? raise(UnknownName.new("class", name, triangle.classes.keys)) : found
    end

    def grade_test(code)
      range = grade_clay(code)
      lambda do |sand, silt, clay|
        range.cover?(clay) && (!SANDY_GRADES.include?(code) || sand > SANDY_OVER) &&
          (!SILTY_GRADES.include?(code) || silt >= SILTY_FROM)
      end
    end

    # @return [Range] percent
    def grade_clay(code)
      grades = Keys::FieldGrades::GRADES
      _, range = grades.fetch(code) { raise UnknownName.new("grade", code, grades.keys) }
      return LIGHT_LOAMS unless range

      range.begin == range.end ? (range.begin - ABOUT)..(range.end + ABOUT) : range
    end

    def outline(system, code)
      return [grade_outline(code)] if system == "australia"

      triangle = Grittle.triangle(system)
      base, variant = code.split("/")
      whole = members(triangle, base).map { |member| triangle[member].polygon }
      return whole unless variant

      sign = variant == "poor" ? -1 : 1
      whole.map { |polygon| cut(polygon) { |_, clay| sign * (clay - POOR_UNDER) } }
    end

    def grade_outline(code)
      range = grade_clay(code)
      polygon = cut(WHOLE) { |_, clay| clay - range.begin }
      polygon = cut(polygon) { |_, clay| range.end - clay }
      polygon = cut(polygon) { |sand, _| sand - SANDY_OVER } if SANDY_GRADES.include?(code)
      polygon = cut(polygon) { |sand, clay| 100 - sand - clay - SILTY_FROM } if SILTY_GRADES.include?(code)
      polygon
    end

    # The part of a convex polygon where a linear function is not negative (Sutherland and Hodgman 1974).
    def cut(polygon)
      polygon.zip(polygon.rotate).flat_map do |from, to|
        here = yield(*from)
        there = yield(*to)
        crossing = from.zip(to).map { |a, b| a + ((b - a) * here / (here - there).to_f) } if (here * there).negative?
        [(from if here >= 0), crossing].compact
      end
    end

    private_class_method :kept, :test, :members, :grade_test, :grade_clay, :outline, :grade_outline, :cut
  end
end
