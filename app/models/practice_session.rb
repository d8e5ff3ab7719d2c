# frozen_string_literal: true

require "securerandom"

# A round of blind readings: of a set by one person, by everybody who joins with a code, or of simulated samples.
class PracticeSession < ApplicationRecord
  KINDS = { "alone" => "By myself", "group" => "A group with a code", "simulated" => "Simulated samples" }.freeze
  SCHEMES = Grittle::Practice::Credits::SCHEMES.keys.freeze
  # Letters and digits that are not mistaken for one another when a code is called out.
  LETTERS = %w[A C D E F H J K M N P R T U V W X Y 3 4 7 9].freeze
  CODE_LENGTH = 6
  MOST_PEOPLE = 60

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  belongs_to :reference_set, optional: true
  has_many :people, -> { order(:id) }, class_name: "PracticePerson", dependent: :restrict_with_exception,
                                       inverse_of: :practice_session
  attribute :field_method, ActiveRecord::Type::Json.new
  attribute :tub_ids, ActiveRecord::Type::Json.new

  # @param set [ReferenceSet, nil] nil for simulated samples
  # @param method [Hash{Symbol=>Object}] parts of a method; its key must name classes of the USDA
  # @param by_need [Boolean] whether soils that the person is weak at are likelier to come first
  # @return [PracticeSession]
  # @raise [Grittle::InvalidInput]
  def self.make(kind:, set: nil, scheme: "practice", again: true, ranked: false, by_need: false, method: {})
    one_of(:kind, kind, KINDS)
    one_of(:scheme, scheme, SCHEMES.to_h { |name| [name, name] })
    check(kind, set)
    create!(kind: kind, reference_set: set, tub_ids: set&.tubs&.ids, scheme: scheme, again: again,
            ranked: kind == "group" && ranked, by_need: kind == "alone" && by_need,
            seed: SecureRandom.random_number(2**48), begun_at: Time.now.utc, field_method: method_of(method),
            join_code: (fresh_code if kind == "group"))
  end

  def self.check(kind, set)
    if (kind == "simulated") == !set.nil?
      refuse("/set_id", set ? "Simulated samples are of no set." : "Choose the set whose tubs are read.")
    end
    refuse("/set_id", "The set has no tubs yet.") if set && set.tubs.empty?
  end

  # Scores are in the classes of the USDA, so the key must name them.
  def self.method_of(given)
    wanted = Fieldbook.current.defaults.slice(*Grittle::FieldMethod::NAMES).merge(given)
    found = Grittle::FieldMethod.new(**wanted)
    return found.to_h if found.naming_system == "usda"

    raise_key if given.key?(:key) || given.key?(:system)

    Grittle::FieldMethod.new(unit: wanted[:unit]).to_h
  end

  def self.raise_key
    refuse("/method/key", "Scores are in the classes of the USDA: choose a key that names them.")
  end

  def self.fresh_code
    loop do
      code = Array.new(CODE_LENGTH) { LETTERS[SecureRandom.random_number(LETTERS.size)] }.join
      return code unless exists?(join_code: code)
    end
  end

  def self.refuse(pointer, sentence)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: pointer, sentence: sentence)]
  end
  private_class_method :check, :method_of, :raise_key, :fresh_code, :refuse

  # @param code [String] as it was typed
  # @return [PracticeSession, nil]
  def self.with_code(code) = find_by(join_code: code.to_s.upcase.gsub(/[^A-Z0-9]/, ""))

  # @return [Grittle::FieldMethod]
  def method_used = Grittle::FieldMethod.new(**field_method.transform_keys(&:to_sym))

  def simulated? = kind == "simulated"
  def group? = kind == "group"
  def ended? = !ended_at.nil?

  # Somebody sits down, in an order of their own. Who comes back with the same key goes on.
  # @param key [String] of the person's own
  # @return [PracticePerson]
  # @raise [Grittle::InvalidInput]
  def join(name, key)
    observer = Observer.named(name) || refuse("/name", "Say who reads.")
    digest = ReferenceSet.digest(key)
    with_lock do
      refuse("", "This session has ended.") if ended?
      found = people.find_by(observer: observer)
      next found if found&.key?(key)

      refuse("/name", "#{observer.name} is here already. Take another name, or go on where you began.") if found
      refuse("", "#{MOST_PEOPLE} people are enough for one session.") if people.count >= MOST_PEOPLE
      refuse("", "This session is for one person.") if !group? && people.exists?
      PracticePerson.create!(practice_session: self, observer: observer, key_digest: digest,
                             account_id: Acting.account&.id, joined_at: Time.now.utc).tap(&:lay_out)
    end
  end

  # @return [Array<Tub>] as they were when the session was begun
  def tubs = Tub.find(tub_ids)

  # @return [Array<(Integer, Tub)>] each code with its tub, for who fills them
  def codes
    tubs = self.tubs
    Grittle::Practice::SessionOrder.coded(tubs.size, seed, again: again).map { |tub, code| [code, tubs[tub]] }
  end

  # The truth of all tubs opens, for all at once.
  def close
    with_lock do
      next if ended?

      now = Time.now.utc
      Turn.where(practice_person: people, shown_at: nil).update_all(shown_at: now)
      update!(ended_at: now)
    end
  end

  private

  def refuse(pointer, sentence) = self.class.send(:refuse, pointer, sentence)
end
