# frozen_string_literal: true

module Exchange
  # A file that is written while it is sent, with a database connection of its own for as long as that takes.
  class Stream
    def initialize(writer)
      @writer = writer
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
