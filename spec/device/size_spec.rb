# frozen_string_literal: true

# What a bench loads, as it is sent: the page's scripts and, once they stand, the worker's with the core.
RSpec.describe "The scripts of a bench" do
  dist = File.expand_path("../../web/dist/assets", __dir__)
  most = 330_000 # bytes packed: what a slow network at the pit still brings in a few seconds [our own]
  imported = %r{(?:from|import)\s*["'`]\./([^"'`]+\.js)["'`]}

  # A file and all that it cannot begin without.
  whole = lambda do |file, seen = []|
    return seen if seen.include?(file)

    File.read(File.join(dist, file)).scan(imported).flatten.reduce([*seen, file]) { |found, name| whole[name, found] }
  end
  files = ->(*names) { names.map { |name| File.basename(Dir[File.join(dist, "#{name}-*.js")].sole) } }
  packed = ->(names) { names.sum { |name| File.size(File.join(dist, "#{name}.br")) } }

  it "are at most #{most / 1000} kB with the core, which none of the page's own brings with it" do
    page = files["index", "BenchPage"].flat_map { |file| whole[file] }.uniq
    worker = files["worker", "bench"]
    expect(page & worker).to eq []
    expect(packed[page]).to be > 100_000 # all of it was found
    expect(packed[page + worker]).to be <= most
  end
end
