# frozen_string_literal: true

module Exchange
  # How values look in a file, worked out once for each: most texts of a table are a few words again and again.
  class Looks
    # Values that are remembered: more than the words of any column, and no burden where all differ. [our own]
    MOST = 1000

    # @yieldparam value [Object]
    # @yieldreturn [String]
    def initialize(&look)
      @look = look
      @known = {}
    end

    # @return [String]
    def [](value)
      @known[value] || begin
        @known.clear if @known.size >= MOST
        @known[value] = @look.call(value)
      end
    end
  end
end
