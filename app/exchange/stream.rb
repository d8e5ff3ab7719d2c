# frozen_string_literal: true

module Exchange
  # A file that is written while it is sent, with a database connection of its own for as long as that takes.
  class Stream
    # @param writer [#each]
    # @param gate [Gate, nil] that is held until the last piece is sent
    # @raise [Gate::Busy]
    def initialize(writer, gate = nil)
      @writer = writer
      @gate = gate
      gate&.enter
    end

    # The server calls this when it is done, whether all was sent or not.
    def close
      @gate&.leave
      @gate = nil
    end

    # @yieldparam piece [String]
    def each(&block)
      ActiveRecord::Base.connection_pool.with_connection { @writer.each(&block) }
    end

    # @param name [String] what is exported
    # @param ending [String]
    # @return [String] header that offers the file under a name that every system can keep
    def self.disposition(name, ending)
      plain = name.unicode_normalize(:nfkd).encode("US-ASCII", undef: :replace, replace: "").gsub(/[^A-Za-z0-9]+/, "-").gsub(/\A-|-\z/,
                                                                                                                             "").downcase
      %(attachment; filename="#{plain.empty? ? 'fieldbook' : plain}.#{ending}")
    end
  end
end
