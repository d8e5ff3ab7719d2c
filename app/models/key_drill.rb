# frozen_string_literal: true

# One reading of a key against the clock: answers are shown, and the key's class is right. In no credit, list or streak.
class KeyDrill < ApplicationRecord
  belongs_to :observer
  attribute :observations, ActiveRecord::Type::Json.new
  TESTS = %w[wet_rub].freeze

  # @return [KeyDrill] with answers that lead the key to an end
  def self.draw(observer, method = Grittle::FieldMethod.new)
    random = Random.new
    loop do
      cell = Grittle::Evidence::Grid::CELLS[random.rand(Grittle::Evidence::Grid::SIZE)]
      truth = Grittle::Composition.new(sand: cell.first, clay: cell.last)
      felt = Grittle::Evidence::Simulator.new(random.rand(2**31)).feel(truth, tests: TESTS)
      found = Grittle.assess(felt, method: method, evidence: "none").key
      next if found.outcomes.size != 1 || found.on_the_limit

      return create!(observer: observer, observations: felt, field_key: method.key, shown_at: Time.now.utc)
    end
  end

  def field_method = Grittle::FieldMethod.new(key: field_key)

  # @return [String] code of the key's class
  def right = Grittle.assess(observations, method: field_method, evidence: "none").key.outcomes.first.first

  # @param code [String]
  # @raise [Grittle::UnknownName]
  def answer(code, now = Time.now.utc)
    field_method.named(code)
    return if called

    update!(called: code, milliseconds: [((now - shown_at) * 1000).round, 2_147_483_647].min)
  end

  # @return [Integer, nil] median of the person's right ones, ms
  def self.median(observer)
    times = where(observer: observer).where.not(called: nil).order(id: :desc).limit(200)
                                     .select { |one| one.called == one.right }.map(&:milliseconds).sort
    times[times.size / 2] if times.any?
  end
end
