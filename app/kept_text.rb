# frozen_string_literal: true

# Answers that were written out, under what they were made of: a record that has not changed is not worked out again. Each process of
# the server keeps its own, and forgets what was asked for longest ago.
class KeptText
  # @param most [Integer] bytes, about
  def initialize(most:)
    @most = most
    @bytes = 0
    @kept = {}
    @lock = Mutex.new
  end

  # @param key [Array] the record and how it stands
  # @yieldreturn [String]
  # @return [String]
  def fetch(key)
    found = @lock.synchronize { @kept[key] = @kept.delete(key) if @kept.key?(key) }
    found || keep(key, yield)
  end

  def clear
    @lock.synchronize do
      @kept.clear
      @bytes = 0
    end
  end

  private

  def keep(key, text)
    @lock.synchronize do
      @bytes += text.bytesize - @kept.delete(key).to_s.bytesize
      @kept[key] = text
      @bytes -= @kept.shift.last.bytesize while @bytes > @most && @kept.size > 1
    end
    text
  end
end
