# frozen_string_literal: true

module Grittle
  module Profiles
    # Uniform, gradational or duplex: the first question of the Australian key of profile forms. [from memory: Northcote
    # 1979]
    class Form
      # Grades in six groups, from sands to medium and heavy clays, by the clay in the middle of the grade.
      GROUPS = Data::PROFILE["form_groups"].to_a.freeze
      CONTRAST = Data::PROFILE["form_contrast"]
      WITHIN_CM = Data::PROFILE["form_within"]
      NAMES = { "uniform" => "Uniform: the texture hardly changes down the profile.",
                "gradational" => "Gradational: the texture becomes finer little by little.",
                "duplex" => "Duplex (texture contrast): the subsoil is much finer, over a clear boundary." }.freeze

      # @param horizons [Array<HorizonDescription>] from the surface down, those with a grade
      def initialize(horizons)
        @horizons = horizons.reject(&:organic?).select(&:grade)
        freeze
      end

      # @return [Hash, nil] "form" and "sentence"; nil with fewer than two grades, or where it becomes coarser
      def to_h
        name &&
          { "form" => name, "sentence" => "#{NAMES[name]} Names from Northcote's key, not checked against the source." }
      end

      private

      def name
        return if @horizons.size < 2
        if @horizons.each_cons(2).any? { |upper, lower| step(upper, lower) >= CONTRAST && sharp?(upper) }
          return "duplex"
        end

        rise = @horizons.map { |horizon| place(horizon) }
        return "uniform" if rise.max - rise.min < 1

        "gradational" if rise.each_cons(2).all? { |above, below| below >= above - 0.5 }
      end

      def sharp?(upper)
        to = upper.boundary&.last
        to ? to <= WITHIN_CM : false
      end

      def step(upper, lower) = place(lower) - place(upper)

      # A place along the groups, straight within each.
      def place(horizon)
        # The light loams have no clay written beside them; they stand with the loams.
        middle =
          (horizon.grade.clay_range || NamedClass.new(system: horizon.grade.system, code: "L").clay_range).sum / 2.0
        at = GROUPS.index { |_, up_to| middle <= up_to }
        from = at.zero? ? 0 : GROUPS[at - 1].last
        at + ((middle - from) / (GROUPS[at].last - from))
      end
    end
  end
end
