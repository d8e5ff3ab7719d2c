# frozen_string_literal: true

# backtick_javascript: true

# A time to the microsecond, in UTC, as the server's database keeps it; script's own knows milliseconds alone.
class Time
  include Comparable

  WRITTEN = /^(\d{4}-\d{2}-\d{2})[T ](\d{2}:\d{2}:\d{2})(?:\.(\d{1,9}))?(Z|[-+]\d{2}:\d{2})?$/

  class << self
    # @return [Time]
    def now = new(`Date.now() * 1000`)

    # @param text [String] ISO 8601
    # @raise [ArgumentError]
    def iso8601(text)
      _, day, time, fraction, zone = *text.to_s.match(WRITTEN)
      milliseconds = day ? `Date.parse(day + "T" + time + (zone === nil ? "Z" : zone))` : `NaN`
      raise ArgumentError, "no time: #{text}" if `Number.isNaN(milliseconds)`

      new((milliseconds * 1000) + `Number((fraction === nil ? "0" : fraction).padEnd(6, "0").slice(0, 6))`)
    end
    alias parse iso8601
  end

  attr_reader :microseconds

  def initialize(microseconds) = @microseconds = microseconds.round

  def utc = self
  def round(*) = self
  def to_f = microseconds / 1_000_000.0
  def <=>(other) = other.is_a?(Time) ? microseconds <=> other.microseconds : nil
  def ==(other) = other.is_a?(Time) && microseconds == other.microseconds
  alias eql? ==
  def hash = microseconds.hash
  def +(seconds) = Time.new(microseconds + (seconds * 1_000_000))
  def -(other) = other.is_a?(Time) ? (microseconds - other.microseconds) / 1_000_000.0 : self + -other

  # @param digits [Integer] of a second's fraction
  def iso8601(digits = 0)
    whole = `new Date(Math.floor(#{microseconds} / 1000)).toISOString().slice(0, 19)`
    fraction = `"." + String(#{microseconds % 1_000_000}).padStart(6, "0").slice(0, digits)`
    "#{whole}#{fraction if digits.positive?}Z"
  end

  def to_date = Day.new(iso8601[0, 10])
  def to_json = iso8601(6).to_json
  alias to_s iso8601

  # @param pattern [String] with %H, %M and %S
  def strftime(pattern) = pattern.sub("%H", iso8601[11, 2]).sub("%M", iso8601[14, 2]).sub("%S", iso8601[17, 2])

  # A day, as it is written.
  class Day
    include Comparable

    attr_reader :iso8601

    def initialize(text) = @iso8601 = text
    def <=>(other) = iso8601 <=> other.iso8601
    def ==(other) = other.is_a?(Day) && iso8601 == other.iso8601
    alias eql? ==
    def hash = iso8601.hash
    alias to_s iso8601
  end
end
