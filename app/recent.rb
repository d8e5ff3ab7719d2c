# frozen_string_literal: true

# What was made lately, under what it was made of, so that the same is not worked out again. Each process of the server
# keeps its own, and forgets what was asked for longest ago.
class Recent
  # @param most [Integer] entries, or as many as +size+ counts them
  # @yieldparam value [Object]
  # @yieldreturn [Integer] what one entry counts
  def initialize(most:, &size)
    @most = most
    @size = size || ->(_) { 1 }
    @full = 0
    @kept = {}
    @lock = Mutex.new
  end

  # @param key [Object] whatever the value follows from
  # @yieldreturn [Object] the value, made anew
  # @return [Object]
  def fetch(key)
    found = @lock.synchronize { @kept[key] = @kept.delete(key) if @kept.key?(key) }
    found || keep(key, yield)
  end

  def clear
    @lock.synchronize do
      @kept.clear
      @full = 0
    end
  end

  private

  def keep(key, value)
    @lock.synchronize do
      @full -= @size.call(@kept.delete(key)) if @kept.key?(key)
      @full += @size.call(value)
      @kept[key] = value
      @full -= @size.call(@kept.shift.last) while @full > @most && @kept.size > 1
    end
    value
  end
end
