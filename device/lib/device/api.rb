# frozen_string_literal: true

module Device
  # Answers requests as the server does, by the server's own routes, from what lies on this device.
  class Api
    # A pattern of a path, and what answers it.
    Route = Struct.new(:verb, :parts, :block) do
      # @return [Hash{String=>String}, nil] what stands in the path
      def match(asked, given)
        return unless asked == verb && given.size == parts.size

        parts.zip(given).each_with_object({}) do |(part, text), found|
          next found[part.delete_prefix(":")] = text if part.start_with?(":")
          return nil unless part == text
        end
      end
    end

    ROUTES = [] # rubocop:disable Style/MutableConstant -- the rooms add theirs as they load

    class << self
      %w[get post put patch delete].each do |verb|
        define_method(verb) { |path, &block| ROUTES << Route.new(verb.upcase, path.split("/"), block) }
      end

      def helpers(*modules) = modules.each { |one| include(one) }
      def register(room) = room.registered(self)
    end

    # What a route may ask of a request.
    Request = Struct.new(:verb) do
      def get? = verb == "GET"
    end

    def initialize(verb, params, input)
      @request = Request.new(verb)
      @params = params
      @input = input || {}
      @env = {}
    end

    attr_reader :params, :input, :request, :env

    # @return [Array] status and body; nil where this device answers nothing of the kind
    def self.call(verb, path, query, input)
      ROUTES.each do |route|
        found = route.match(verb, path.split("/")) or next
        api = new(verb, query.merge(found), input)
        return catch(:halt) { api.instance_exec(&route.block) }
      end
      nil
    end

    PAGE_SIZE = 50

    def fieldbook = Fieldbook.current
    def changes = input.except("version")
    def answer(value, status = 200) = throw(:halt, [status, value])
    def written(_path, value, status = 200) = answer(value, status)
    def answer_kept(*) = answer(yield)
    def asked_page = [params["page"].to_i, 1].max
    def cache_control(*) = nil

    def paged(found)
      all = found.to_a
      page = { page: asked_page, pages: [(all.size / PAGE_SIZE.to_f).ceil, 1].max, total: all.size }
      [ActiveRecord::Found.new(all.drop((asked_page - 1) * PAGE_SIZE).first(PAGE_SIZE)), page]
    end
  end
end
