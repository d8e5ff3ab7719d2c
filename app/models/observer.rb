# frozen_string_literal: true

# Somebody who textures or writes it down, with or without an account. A name says who is meant within one fieldbook:
# two people of one name are told apart by a number after it.
class Observer < ApplicationRecord
  belongs_to :fieldbook, default: -> { Fieldbook.current }
  has_one :membership, dependent: :restrict_with_exception, inverse_of: :observer
  # What later readings of the person are assessed with; none until the person switches it on.
  belongs_to :own_hand, optional: true

  # @param name [String, nil]
  # @return [Observer, nil] of the fieldbook at hand; nil for a blank name
  def self.named(name)
    name = name.to_s.strip
    return if name.empty?
    return Acting.namesakes[name.downcase] ||= another(Fieldbook.current, name) if Acting.namesakes.key?(name.downcase)

    Fieldbook.current.observers.create_or_find_by!(name: name)
  end

  # Another person, whoever else is called so.
  # @param name [String]
  # @return [Observer] “Maren”, or “Maren (2)”
  # @raise [Grittle::InvalidInput]
  def self.another(fieldbook, name)
    name = required_text(:name, name, "person")[0, LONGEST]
    numbered = (2..).lazy.map { |number| "#{name} (#{number})" }
    free = [name].chain(numbered).find { |one| !fieldbook.observers.exists?(name: one) }
    create!(fieldbook: fieldbook, name: free)
  end

  LONGEST = 100

  # @return [Account, nil] that is this person
  def account = membership&.account

  # Whatever names this person names the other from now on, who was two by mistake.
  # @param person [Observer] of the same fieldbook
  # @raise [ActiveRecord::RecordNotUnique] where both stand in one place
  def merge_into(person)
    self.class.mentions.each do |table, column|
      self.class.connection.update("UPDATE #{table} SET #{column} = #{person.id} WHERE #{column} = #{id}")
    end
    person.called_before(name)
    destroy!
  end

  # What was kept of the earlier name is looked at anew, and the person is found by the one they have now.
  def called_before(name)
    Revision.create!(record_type: "Observer", record_id: id, was: { "name" => name }, changed_at: Time.now.utc,
                     by: Acting.person)
    Profile.kept.where(textured_by_id: id).find_each(&:keep_terms)
  end

  # @return [Array<Array<String>>] every table and column that names a person, as the database says
  def self.mentions
    connection.tables.flat_map do |table|
      connection.foreign_keys(table).select { |key| key.to_table == "observers" }.map { |key| [table, key.column] }
    end
  end

  # Everywhere, also where it was written before.
  # @raise [Grittle::InvalidInput]
  def rename(name)
    before = self.name
    update!(name: self.class.required_text(:name, name, "person")[0, LONGEST])
    called_before(before)
  rescue ActiveRecord::RecordNotUnique
    raise Grittle::InvalidInput,
          [Grittle::Problem.new(pointer: "/name", sentence: "Somebody else of this fieldbook is called so.")]
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
