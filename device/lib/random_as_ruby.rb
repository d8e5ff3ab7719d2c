# frozen_string_literal: true

# backtick_javascript: true

# Ruby's own numbers for a seed of up to 32 bits. [published: Matsumoto & Nishimura 1998, MT19937]
class Random
  def initialize(seed)
    @state = `new Uint32Array(624)`
    %x{
      var state = #{@state}, before, at;
      state[0] = seed >>> 0;
      for (at = 1; at < 624; at++) {
        before = state[at - 1] ^ (state[at - 1] >>> 30);
        state[at] = (Math.imul(1812433253, before) + at) >>> 0;
      }
    }
    @at = 624
  end

  # @param limit [Integer, Range, nil]
  # @return [Numeric] a whole number below the limit, or one from 0 to 1 of 53 bits
  def rand(limit = nil)
    return `(#{word} >>> 5) * 67108864 + (#{word} >>> 6)` / 9_007_199_254_740_992.0 if limit.nil?

    return limit.begin + rand(limit.size) if limit.is_a?(Range)

    last = limit - 1
    mask = `last === 0 ? 0 : 0xffffffff >>> Math.clz32(last)`
    loop do
      found = `(#{word} & mask) >>> 0`
      return found if found <= last
    end
  end

  private

  def word
    turn if @at == 624
    %x{
      var found = #{@state}[#{@at}];
      found ^= found >>> 11;
      found ^= (found << 7) & 0x9d2c5680;
      found ^= (found << 15) & 0xefc60000;
      found ^= found >>> 18;
      #{@at += 1};
      return found >>> 0;
    }
  end

  def turn
    %x{
      var state = #{@state}, at, both;
      for (at = 0; at < 624; at++) {
        both = (state[at] & 0x80000000) | (state[(at + 1) % 624] & 0x7fffffff);
        state[at] = state[(at + 397) % 624] ^ (both >>> 1) ^ (both & 1 ? 0x9908b0df : 0);
      }
    }
    @at = 0
  end
end
