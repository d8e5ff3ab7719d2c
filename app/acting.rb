# frozen_string_literal: true

# Who acts, and in which fieldbook, for as long as one request or job takes: every finder starts at this fieldbook, and
# every trace names this person. Known to one thread alone; a thread that is begun is told anew.
module Acting
  # +account+ is nil for who works alone on a machine without accounts; +namesakes+ are names, in small letters, of an
  # import whose people are others than those of the fieldbook, each with its person once there is one.
  # +key+ is the word of the write that is under way, a UUID of version 7, and +made+ how many records it has made;
  # +at+ is when it was given, where that was on a device without signal.
  State = Struct.new(:account, :fieldbook, :person, :role, :namesakes, :key, :made, :at, keyword_init: true)
  NOBODY = State.new.freeze
  PLACE = :grittle_acting

  module_function

  # @yield while it is so
  def as(state)
    before = Thread.current[PLACE]
    Thread.current[PLACE] = state
    yield
  ensure
    Thread.current[PLACE] = before
  end

  # @param fieldbook [Fieldbook]
  def in(fieldbook, &) = as(State.new(fieldbook: fieldbook), &)

  # @return [State]
  def state = Thread.current[PLACE] || NOBODY
  def account = state.account
  def fieldbook = state.fieldbook
  # @return [Observer, nil] the person of the fieldbook that the account is
  def person = state.person
  def role = state.role

  # @return [Hash{String=>Observer, nil}]
  def namesakes = state.namesakes || {}

  # @yield while a write is under way
  # @param key [String] any word; only those that are UUIDs of version 7 name what is made
  def writing(key, &)
    as(State.new(**state.to_h, key: (key if key.match?(Uid::FORM)), made: 0), &)
  end

  # @return [String, nil] what the next record is called that this write makes; nil outside of one
  def next_uid
    return unless state.key

    Uid.after(state.key, state.made).tap { state.made += 1 }
  end

  # @return [Time] when what is done was given
  def now = state.at || Time.now.utc

  # @param other [Observer, nil] who writes where nobody is signed in
  # @return [Observer, nil] for a trace
  def writer(other) = person || other
end
