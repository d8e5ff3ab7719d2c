# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe "What is said of ribbons, whichever key leads" do
  def main(key, *made, **more)
    Grittle.assess({ "ball_holds" => true, "ribbons" => made.flatten, **more }, key: key).main
  end

  def rules(*args) = main(*args)["notes"].map { |note| note["rule"] }

  # Lengths that end on 50 mm of field grades and sand first; rolling and two numbers have no limit of length.
  {
    ["field_grades", 50, 51] => ["make_another", 50.0], ["sand_first", 50, 49, 51] => ["one_more", 50.0],
    ["length_alone", 22, 22, 22, 22, 22] => ["on_the_limit", 22.0], ["rolling", 50, 51] => ["clear", nil],
    ["two_numbers", 50] => ["make_another", nil]
  }.each do |(key, *lengths), (state, limit)|
    it "advises #{state} by #{key} after #{lengths.join(', ')} mm" do
      expect(main(key, ribbons(*lengths))["advice"]).to include("state" => state, "limit_mm" => limit)
    end
  end

  it "says that a key has no limit of length, rather than that the ribbons are clear of one" do
    expect(main("rolling", ribbons(50, 51))["advice"]["sentence"]).to eq "This key has no limit of length."
  end

  it "tells of single, growing, uneven and unbroken ribbons by every key" do
    expect(rules("field_grades", ribbons(40))).to include "one_ribbon"
    expect(rules("two_numbers", ribbons(40, 46, 53))).to include "drifting"
    expect(
      rules("sand_first", ribbons(40, thickness_mm: 2) + ribbons(41, thickness_mm: 4))
    ).to include "uneven_thickness"
    expect(rules("rolling", ribbons(90, ended: "never_broke"))).to include "never_broke"
  end

  # 2-3 mm thick and 10 mm wide [from memory: Australian field handbook, 3rd ed., 2009]; the tolerance is our own model.
  { [3, 10] => nil, [5, 10] => "2 to 3 mm thick", [3, 8] => nil, [3, 7] => "10 mm wide",
    [6, 20] => "2 to 3 mm thick and 10 mm wide" }.each do |(thick, wide), wanted|
    it "marks a ribbon #{thick} mm thick and #{wide} mm wide: #{wanted || 'the school\'s own'}" do
      note = main("field_grades", ribbons(44, 45, thickness_mm: thick, width_mm: wide))["notes"]
             .find { |one| one["rule"] == "not_this_schools_ribbon" }
      expect(note&.fetch("sentence")).to eq(wanted && "Not this school's ribbon: it wants one #{wanted}.")
    end
  end
end
