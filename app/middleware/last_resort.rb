# frozen_string_literal: true

# Whatever goes wrong in front of the routes is answered like anything else that goes wrong: as a problem with a
# sentence.
class LastResort
  def initialize(app)
    @app = app
  end

  def call(env)
    @app.call(env)
  rescue Gate::Busy => e
    status, headers, body = Problem.new(503, e.message).response(env)
    [status, headers.merge("retry-after" => e.seconds.to_s), body]
  rescue StandardError => e
    answer = Trouble.problem(e, env).response(env)
    env["grittle.problem"] += Trouble.log(e)
    answer
  end
end
