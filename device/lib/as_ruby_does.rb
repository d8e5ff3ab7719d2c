# frozen_string_literal: true

# backtick_javascript: true

# Where the compiler's own library counts otherwise than Ruby does, so that the core comes to the same in the page. Each
# is held against Ruby by spec/device.

class Hash
  # A block that takes a pair apart gets its parts.
  def transform_values
    found = {}
    each_key { |name| found[name] = yield self[name] }
    found
  end

  # Likewise.
  def each_value(&block)
    values.each(&block)
    self
  end
end

class Array
  # A block that takes a pair apart gets its parts, here as well.
  def take_while
    found = []
    each { |one| yield(one) ? found << one : (return found) }
    found
  end

  def reject(&block) = block ? select { |one| !(yield one) } : enum_for(:reject)
  def partition(&block) = block ? [select(&block), reject(&block)] : enum_for(:partition)

  def index(wanted = undefined)
    at = 0
    while at < size
      return at if block_given? ? (yield self[at]) : self[at] == wanted

      at += 1
    end
    nil
  end
  alias find_index index

  # [published: Kahan and Babuska's compensated sum, as Ruby has it since 2.4]
  def sum(start = 0, &block)
    %x{
      var sum = start, over = 0, counted = typeof start === "number", at, one, next;
      for (at = 0; at < self.length; at++) {
        one = block === nil ? self[at] : Opal.yield1(block, self[at]);
        if (counted && typeof one === "number" && isFinite(one) && isFinite(sum)) {
          next = sum + one;
          over += Math.abs(sum) >= Math.abs(one) ? (sum - next) + one : (one - next) + sum;
          sum = next;
        } else {
          if (counted) { sum += over; over = 0; counted = typeof one === "number"; }
          sum = counted ? sum + one : #{`sum` + `one`};
        }
      }
      return counted ? sum + over : sum;
    }
  end
end

class Enumerator
  # What the block says is what the method goes by, such as for sort_by.with_index.
  def with_index(first = 0, &block)
    return enum_for(:with_index, first) unless block

    at = first - 1
    each { |*one| block.call(one.size > 1 ? one : one.first, at += 1) }
  end
end

module Enumerable
  def sum(start = 0, &block) = to_a.sum(start, &block)

  # Also of one alone.
  def slice_when
    all = to_a
    return [].each if all.empty?

    parts = [[all.first]]
    all.each_cons(2) { |one, other| yield(one, other) ? parts << [other] : parts.last << other }
    parts.each
  end
end

class Number
  # Never a fraction of whole numbers.
  def **(other) = `Math.pow(self, other)`

  # Half away from zero, as near as the number itself says.
  def round(digits = 0, **)
    %x{
      if (!isFinite(self)) return self;
      var half = function(number) {
        var whole = Math.trunc(number);
        return Math.abs(number - whole) >= 0.5 ? whole + Math.sign(number) : whole;
      };
      var size = Math.pow(10, Math.abs(digits)), found;
      if (digits < 0) return half(self / size) * size;
      if (digits === 0) return half(self);
      if (Number.isInteger(self) || digits >= 17) return self;
      found = half(self * size);
      if (self > 0) { if ((found + 0.5) / size <= self) found += 1; }
      else if ((found - 0.5) / size >= self) found -= 1;
      return found / size;
    }
  end
end

class Regexp
  # Signs that only Ruby knows, where a pattern is put together from others.
  %x{
    var joined = Opal.regexp;
    Opal.regexp = function(parts, flags) {
      var own = joined(parts, flags);
      var source = own.source.replace(/\\A/g, "^").replace(/\\[zZ]/g, "$").replace(/\\h/g, "[0-9a-fA-F]");
      return new RegExp(source, own.flags);
    };
  }
end

module Kernel
  # The few signs that are used: %s, %d, %x, %X and %f, with a width filled with blanks or zeros, and decimals.
  def format(text, *given)
    %x{
      var at = 0;
      return text.replace(/%(?:%|(0?)(\d*)(?:\.(\d+))?([sdxXf]))/g, function(sign, zero, width, decimals, kind) {
        if (sign === "%%") return "%";
        var one = given[at++], said;
        if (kind === "s") said = #{`one`.to_s};
        else if (kind === "f") said = Opal.fixed(one, decimals === undefined ? 6 : Number(decimals));
        else said = Math.floor(one).toString(kind === "d" ? 10 : 16);
        if (kind === "X") said = said.toUpperCase();
        return said.padStart(Number(width || 0), zero ? "0" : " ");
      });
    }
  end

  # A tie goes to the even digit, as in C.
  %x{
    Opal.fixed = function(number, decimals) {
      var said = number.toFixed(decimals), whole = number.toFixed(Math.min(decimals + 60, 100));
      if (!/^50*$/.test(whole.slice(whole.indexOf(".") + 1 + decimals))) return said;
      var cut = whole.slice(0, whole.indexOf(".") + (decimals === 0 ? 0 : 1 + decimals));
      return Number(cut[cut.length - 1]) % 2 === 0 ? cut : said;
    };
  }
end
