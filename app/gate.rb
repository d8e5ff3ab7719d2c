# frozen_string_literal: true

# Lets so many through at once in one process; one too many is told to come back. What takes seconds must not hold every
# thread.
class Gate
  # Raised for one too many.
  class Busy < StandardError
    # @return [Integer] seconds after which to come back
    attr_reader :seconds

    def initialize(what, seconds)
      @seconds = seconds
      super("Busy with other #{what}. Nothing was changed; try again in a few seconds.")
    end
  end

  # @param what [String] plural, for the sentence
  # @param most [Integer] at once
  # @param seconds [Integer] after which to come back
  def initialize(what, most:, seconds: 5)
    @what = what
    @most = most
    @seconds = seconds
    @inside = 0
    @lock = Mutex.new
  end

  # @raise [Busy]
  def pass
    enter
    begin
      yield
    ensure
      leave
    end
  end

  # @raise [Busy]
  def enter
    @lock.synchronize do
      raise Busy.new(@what, @seconds) if @inside >= @most

      @inside += 1
    end
  end

  def leave = @lock.synchronize { @inside -= 1 }
end
