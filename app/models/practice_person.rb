# frozen_string_literal: true

require "digest"

# Somebody in a session, with a key of their own and the tubs in an order of their own.
class PracticePerson < ApplicationRecord
  belongs_to :practice_session
  belongs_to :observer
  has_many :turns, -> { order(:place) }, dependent: :restrict_with_exception, inverse_of: :practice_person

  delegate :name, to: :observer

  # @param key [String, nil] not needed of who is signed in as who sat down
  # @return [Boolean]
  def key?(key)
    return true if account_id && account_id == Acting.account&.id

    ActiveSupport::SecurityUtils.secure_compare(Digest::SHA256.hexdigest(key.to_s), key_digest)
  end

  # The tubs of the set as they come into the hand, under blind codes; a guess before water is asked of a part of them.
  def lay_out
    return another if practice_session.simulated?

    tubs = practice_session.tubs
    order = Grittle::Practice::SessionOrder.new(tubs.size, practice_session.seed, again: practice_session.again,
                                                                                  own_seed: seed, needs: needs(tubs))
    guessed = guessed(order.turns.size)
    order.turns.each_with_index do |turn, place|
      Turn.create!(practice_person: self, tub: tubs[turn.tub], place: place, code: turn.code, again: turn.again,
                   guess: guessed.include?(place))
    end
  end

  # The next simulated sample, of what the person is weak at.
  # @return [Turn]
  def another
    raise_ended if practice_session.ended?
    waiting = turns.reload.reject(&:closed_at).first
    return waiting if waiting

    random = Random.new(seed + turns.size)
    codes = Grittle::Practice::SessionOrder::CODES - turns.map(&:code)
    Turn.create!(practice_person: self, place: turns.size, code: codes[random.rand(codes.size)], given: drawn(random))
        .tap { turns.reset }
  end

  # @return [Turn, nil] which is in the hand, or comes next
  def current = turns.find { |turn| turn.closed_at.nil? }

  private

  # A simulated sample of what the person is weak at.
  def drawn(random)
    chooser = Grittle::Practice::NextSample.new(Skills.new(observer).credits, turns.map { |turn| turn.given["class"] })
    code = chooser.draw(random)
    truth = chooser.composition(code, random)
    { "class" => code, **truth.to_h.transform_keys(&:to_s), "seed" => random.rand(2**31) }
  end

  # The session's seed, another for each person.
  def seed = practice_session.seed + (id * 1_000_003)

  # How much each tub would teach, where that is asked for.
  def needs(tubs)
    return unless practice_session.by_need

    odds = Grittle::Practice::NextSample.new(Skills.new(observer).credits, []).odds
    tubs.map { |tub| odds.fetch(Grittle::Triangles::USDA.classify(tub.truth).code) }
  end

  def guessed(count)
    places = Grittle::Practice::SessionOrder.shuffled((0...count).to_a, Random.new(seed + 1))
    places.first((Grittle::Practice::FIGURES["guess_part"] * count).round)
  end

  def raise_ended
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: "This session has ended.")]
  end
end
