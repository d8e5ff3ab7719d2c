# frozen_string_literal: true

require "fileutils"
require "opal"
require "opal/builder"
require_relative "place"

# Compiles the Ruby that runs in the page to script, for the page's build to take in:
#
#   bench.js   Ruby's own library as far as it is needed, the core as far as a verdict needs it, and what a bench asks
#   pit.js     the core as far as a pit needs it, and the server's models and routes over rows in the browser
#   desk.js    the rest of the core
#
# Each needs those before it to be there.
#
# Run by bin/support/page.rb with the gems at hand.
module RubyForPage
  OUT = Place.at("web/src/device/ruby")
  PATHS = %w[device/lib core/lib app].map { |name| Place.at(name) }.freeze
  # What the server's files ask for and the page has otherwise.
  OTHERWISE = %w[json].freeze
  # A wrong number of arguments is found natively, and no text is changed in place.
  OPTIONS = { arity_check: false, dynamic_require_severity: :error }.freeze

  SCRIPTS = { "bench.js" => %w[runtime grittle/bench bench], "pit.js" => %w[device], "desk.js" => %w[grittle/desk] }
            .freeze

  module_function

  # @return [Hash{String=>String}] script by the name of its file
  def scripts
    there = []
    SCRIPTS.transform_values do |names|
      script = built(names, having: there)
      there += script.already_processed.to_a
      script.to_s
    end
  end

  # @param names [Array<String>] files to begin with
  # @param having [Array<String>] what another script brings
  # @return [Opal::Builder]
  def built(names, having: [])
    made = Opal::Builder.new(compiler_options: OPTIONS, prerequired: having, stubs: OTHERWISE)
    made.append_paths(*PATHS)
    names.each { |name| made.build(name) }
    made
  end

  def write
    FileUtils.mkdir_p(OUT)
    scripts.each do |name, script|
      File.write(File.join(OUT, name), script)
      File.write(File.join(OUT, name.sub(/js\z/, "d.ts")), "export {}\n")
    end
  end
end

RubyForPage.write if $PROGRAM_NAME == __FILE__
