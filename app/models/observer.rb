# frozen_string_literal: true

# Somebody who textures or writes it down.
class Observer < ApplicationRecord
  belongs_to :fieldbook, default: -> { Fieldbook.current }
  # What later readings of the person are assessed with; none until the person switches it on.
  belongs_to :own_hand, optional: true

  # @param name [String, nil]
  # @return [Observer, nil] nil for a blank name
  def self.named(name)
    name = name.to_s.strip
    create_or_find_by!(name: name) unless name.empty?
  end

  # @return [TaughtReadings]
  def taught = TaughtReadings.new(self)

  # From now on, readings of the person are assessed with what is learnt now.
  # @return [OwnHand]
  # @raise [Grittle::InvalidInput] where the curve may not be used
  def switch_on
    hand = taught.hand
    closed = hand.calibration.closed
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: "Not yet: #{closed}")] if closed

    made = OwnHand.create!(observer: self, numbers: hand.own_hand.to_h, pairs: hand.calibration.size,
                           made_at: Time.now.utc)
    update!(own_hand: made)
    made
  end

  def switch_off = update!(own_hand: nil)

  # @param pair [String] a sample or a tub, as TaughtReadings names them
  # @param reason [String] blank puts it back
  def leave_out(pair, reason)
    now = Time.now.utc
    LeftPair.standing.where(observer: self, pair: pair).update_all(undone_at: now)
    LeftPair.create!(observer: self, pair: pair, reason: reason.strip, left_at: now) if reason.present?
  end
end
