# frozen_string_literal: true

RSpec.describe Grittle::Profiles::Comparison do
  def layer(name, from, to, code, clay, colour: "10YR 4/4", stones: nil)
    Grittle::Profiles::HorizonDescription.new(
      designation: name,
      depths: Grittle::Profiles::DepthRange.new(from, to),
      clay: clay,
      colour: Grittle::Profiles::Munsell.new(colour),
      named: Grittle::NamedClass.new(system: "usda", code: code),
      seen: { "fragments_percent" => stones }.compact
    )
  end

  it "names what differs where both have a horizon, on the depths of either" do
    one = ["P1", [layer("A", 0, 20, "L", 18), layer("B", 20, 60, "CL", 32)]]
    other = ["P2", [layer("A", 0, 30, "L", 20, stones: 2), layer("Bg", 30, 80, "C", 50, colour: "10YR 5/1")]]
    said = described_class.new(one, other).differences.map { |difference| difference["sentence"] }
    expect(said).to eq [
      "20 to 30 cm, B beside A: clay loam against loam, one class apart; clay about 32 against 20 %.",
      "30 to 60 cm, B beside Bg: clay loam against clay, one class apart; clay about 32 against 50 %; colour 10YR " \
      "4/4 against 10YR 5/1.",
      "Seasonal wetness: no sure sign against from about 30 cm.", "Below 60 cm P1 has no horizon to compare."
    ]
  end

  it "has nothing to say of equals" do
    expect(
      described_class.new(["P1", [layer("A", 0, 20, "L", 18)]], ["P2", [layer("Ap", 0, 20, "L", 22)]]).differences
    ).to be_empty
  end
end
