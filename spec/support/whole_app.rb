# frozen_string_literal: true

require "rack/builder"

# The application as config.ru makes it, with every answer also held against the API description.
module WholeApp
  LOG = StringIO.new

  class << self
    # Addresses (a pattern) at which nobody answers: whoever asks, the page or a worker of its own, is hung up on.
    attr_writer :gone

    def call(env)
      return app.call(env) unless @gone&.match?(env["PATH_INFO"])

      env["rack.hijack"].call.close
      [503, {}, []] # which nobody reads any more
    end
  end

  def self.app
    @app ||= Rack::Builder.app do
      use RequestLog, output: LOG
      use Guard
      use FieldbookPlace
      use Page, root: File.expand_path("../../web/dist", __dir__)
      use Committee::Middleware::ResponseValidation,
          schema_path: Api::SCHEMA,
          raise: true,
          strict: false,
          strict_reference_validation: true,
          parse_response_by_content_type: true
      run lambda { |env|
        env.delete("HTTP_ACCEPT_ENCODING") # what is packed cannot be held against the description
        Api.call(env)
      }
    end
  end
end
