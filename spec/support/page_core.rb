# frozen_string_literal: true

require "json"
require "open3"
require "opal"

# The core as the page's build has it: the very script of the worker, driven by Node as a page drives it. One line of
# JSON in, one line out.
class PageCore
  DIST = File.expand_path("../../web/dist/assets", __dir__)
  DRIVER = File.expand_path("page_core.mjs", __dir__)
  SPECS = File.expand_path("../../core/spec", __dir__)
  LANGUAGE = File.expand_path("../../device/spec/specs_in_the_page.rb", __dir__)

  # @yieldparam core [PageCore]
  def self.open(*scripts)
    worker = Dir[File.join(DIST, "worker-*.js")].first or raise "The page is not built: run bin/test."
    Open3.popen2("node", DRIVER, worker, *scripts) { |input, output, _| yield new(input, output) }
  end

  def initialize(input, output)
    @input = input
    @output = output
    @asked = 0
  end

  # @param name [String] a method of device/lib/device.rb
  # @return [Object] as JSON has it
  # @raise [RuntimeError] with what the worker says
  def ask(name, *args)
    @input.puts JSON.generate(id: @asked += 1, name: name, args: args)
    @input.flush
    answered = JSON.parse(@output.gets || raise("The worker went away."))
    answered["failed"] ? raise(answered["failed"]) : answered["value"]
  end

  # The core's own specs as script, with what they are written in.
  # @param names [Array<String>] below core/spec, without _spec.rb
  # @return [String]
  def self.specs(names)
    helpers = File.read(File.join(SPECS, "spec_helper.rb"))[/^module CoreHelpers.*?^end/m]
    texts = [File.read(LANGUAGE), "#{helpers}\nSpecsInThePage::Example.tap { |one| one.include(CoreHelpers); " \
                                  "one.extend(CoreHelpers) }",
             *names.map { |name| File.read(File.join(SPECS, "#{name}_spec.rb")).gsub(/^require.*$/, "") }]
    texts.map { |text| Opal.compile(text, arity_check: false) }.join("\n")
  end
end
