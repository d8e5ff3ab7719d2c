# frozen_string_literal: true

require "rack/builder"

# The application as config.ru makes it, with every answer also held against the API description.
module WholeApp
  LOG = StringIO.new

  def self.call(env) = app.call(env)

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
