# frozen_string_literal: true

require "fileutils"
require "opal"
require "opal/builder"
require_relative "place"

# Compiles the Ruby that runs in the page to script, for the page's build to take in:
#
#   pit.js    Ruby's own library as far as it is needed, the core as far as a pit needs it, and what asks it
#   desk.js   the rest of the core; it needs the other to be there
#
# Run by bin/support/page.rb with the gems at hand.
module RubyForPage
  OUT = Place.at("web/src/device/ruby")
  PATHS = %w[device/lib core/lib app].map { |name| Place.at(name) }.freeze
  # What the server's files ask for and the page has otherwise.
  OTHERWISE = %w[json].freeze
  # A wrong number of arguments is found natively, and no text is changed in place.
  OPTIONS = { arity_check: false, dynamic_require_severity: :error }.freeze

  module_function

  # @return [Hash{String=>String}] script by the name of its file
  def scripts
    pit = builder
    %w[runtime grittle/pit device].each { |name| pit.build(name) }
    desk = builder(having: pit.processed.map(&:filename))
    desk.build("grittle/desk")
    { "pit.js" => pit.to_s, "desk.js" => desk.to_s }
  end

  # @param having [Array<String>] what another script brings
  # @return [Opal::Builder]
  def builder(having: [])
    made = Opal::Builder.new(compiler_options: OPTIONS, prerequired: having, stubs: OTHERWISE)
    made.append_paths(*PATHS)
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
