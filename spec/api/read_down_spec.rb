# frozen_string_literal: true

# The one front door's answer for every profile of the demo, kept as a file: whatever changes in it is looked at before
# it is kept. Written anew with GRITTLE_KEEP=1 bin/test spec/api/read_down_spec.rb
RSpec.describe "what is read down the demo's profiles" do
  kept = File.expand_path("../fixtures/read_down.json", __dir__)

  # Numbers of readings differ from run to run; their place does not.
  def numbered(down)
    places =
      down["horizons"]
      .flat_map { |horizon| horizon["readings"].map { |reading| reading["id"] } }
      .sort
      .each_with_index
      .to_h
    down["horizons"].each do |horizon|
      horizon["speaks"] &&= places[horizon["speaks"]]
      horizon["readings"].each { |reading| reading["id"] = places[reading["id"]] }
    end
    down
  end

  it "is as it was looked at last" do
    Demo.load
    found = Profile.order(:id).to_h { |profile| [profile.name, numbered(JSON.parse(JSON.generate(profile.read_down)))] }
    File.write(kept, "#{JSON.pretty_generate(found)}\n") if ENV["GRITTLE_KEEP"]
    expect(found).to eq JSON.parse(File.read(kept))
  end
end
