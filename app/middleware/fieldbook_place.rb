# frozen_string_literal: true

# Below /fieldbooks/ID stands the whole application once more, on that fieldbook: two of them can be open in two tabs.
class FieldbookPlace
  BELOW = %r{\A/fieldbooks/(\d{1,18})(?=/|\z)}

  def initialize(app)
    @app = app
  end

  def call(env)
    found = env["PATH_INFO"].match(BELOW) or return @app.call(env)

    env["grittle.fieldbook"] = found[1].to_i
    env["SCRIPT_NAME"] = env["SCRIPT_NAME"].to_s + found[0]
    env["PATH_INFO"] = found.post_match.empty? ? "/" : found.post_match
    @app.call(env)
  end
end
