# frozen_string_literal: true

module Device
  # Answers requests as the server does, by the server's own routes, from what lies on this device.
  class Api
    include Routes::Support

    # A pattern of a path, and what is done there; a verb of nil is any, and a last part of * stands for all the rest.
    Route = Struct.new(:verb, :parts, :block) do
      # @return [Hash{String=>String}, nil] what stands in the path
      def match(asked, given)
        return unless [nil, asked].include?(verb) && fits?(given.size)

        parts.zip(given).each_with_object({}) do |(part, text), found|
          next if part == "*"
          next found[part.delete_prefix(":")] = text if part.start_with?(":")
          return nil unless part == text
        end
      end

      def fits?(size) = parts.last == "*" ? size >= parts.size : size == parts.size
    end

    # The rooms add theirs as they load.
    ROUTES = [] # rubocop:disable Style/MutableConstant
    BEFORE = [] # rubocop:disable Style/MutableConstant

    class << self
      def before(path, &block) = BEFORE << Route.new(nil, path.split("/"), block)

      %w[get post put patch delete].each do |verb|
        define_method(verb) { |path, &block| ROUTES << Route.new(verb.upcase, path.split("/"), block) }
      end

      def helpers(*modules) = modules.each { |one| include(one) }
      def register(room) = room.registered(self)
    end

    # What a route may ask of a request.
    Request = Struct.new(:request_method) do
      def get? = request_method == "GET"
      def post? = request_method == "POST"
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
      parts = path.split("/")
      ROUTES.each do |route|
        found = route.match(verb, parts) or next
        filters = BEFORE.select { |filter| filter.match(verb, parts) }
        api = new(verb, query.merge(found), input)
        return catch(:halt) { [*filters, route].each { |one| api.instance_exec(&one.block) } }
      end
      nil
    end

    def refuse(problem) = throw(:halt, [problem.status, problem.to_h])
    def answer(value, status = 200) = throw(:halt, [status, value])
    def written(_path, value, status = 200) = answer(value, status)
    def answer_kept(*) = answer(yield)
    def cache_control(*) = nil
  end
end
