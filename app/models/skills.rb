# frozen_string_literal: true

# How well a person knows each class, from all samples whose truth they have seen and could not have known.
class Skills
  # Newest turns that count. [our own]
  MOST = 500

  def initialize(observer)
    @observer = observer
  end

  # @return [Hash{String=>Array<Float>}] by the truth's class, oldest first
  def credits
    scored.group_by(&:own).transform_values { |all| all.map(&:credit) }
  end

  # @return [Array<Grittle::Practice::Scored>] oldest first
  def scored = @scored ||= turns.select(&:blind?).map { |turn| turn.scored("practice") }

  # @return [Hash{String=>Object}] "samples", "streak", "classes" (code, name, count, mean, sd, steady, level), "weak"
  def to_h
    by_class = credits
    all = Grittle::Practice::NextSample::CODES.map do |code|
      skill = Grittle::Practice::Skill.new(by_class[code] || [])
      { "code" => code, "name" => Grittle::Triangles::USDA[code].name, "count" => (by_class[code] || []).size,
        "mean" => skill.mean.round(3), "sd" => skill.sd.round(3), "need" => skill.need.round(3),
        "steady" => skill.steady?, "level" => skill.level }
    end
    { "samples" => scored.size, "streak" => Grittle::Practice::Scores.streak(scored.map(&:credit)), "classes" => all,
      "scores" => Grittle::Practice::Scores.of(scored), "matrix" => Grittle::Practice::Scores.matrix(scored) }
  end

  private

  def turns
    Turn.seen(@observer).includes(practice_person: %i[practice_session observer], tub: :reference_set)
        .limit(MOST).to_a.reverse
  end
end
