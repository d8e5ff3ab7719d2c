# frozen_string_literal: true

RSpec.describe Grittle::Entry::Columns do
  # Headings as people write them: common practice, no source.
  {
    "Top depth (in)" => %w[upper_cm in],
    "depth_to_cm" => %w[lower_cm cm],
    "Bottom" => %w[lower_cm cm],
    "From [m]" => %w[upper_cm m],
    "Munsell color" => ["moist_colour", nil],
    "HORIZON" => ["designation", nil],
    "Pit" => ["profile", nil],
    "Coarse fragments %" => ["fragments_percent", nil],
    "Remarks" => ["note", nil],
    "Texture class" => ["texture", nil],
    "root_size" => ["root_size", nil],
    "Lab no" => [nil, nil],
    "" => [nil, nil]
  }.each do |heading, (target, unit)|
    it("takes “#{heading}” for #{target || 'nothing'}") do
      expect(described_class.guess([heading]).first.to_a).to eq [target, unit]
    end
  end

  it "takes no meaning twice" do
    expect(described_class.guess(%w[top upper bottom]).map(&:target)).to eq ["upper_cm", nil, "lower_cm"]
  end

  # The international inch and foot, 1959 (published)
  {
    [10, "in"] => 25.4,
    [1, "ft"] => 30.5,
    [0.6, "m"] => 60,
    [7.5, "in"] => 19.1,
    [125, "mm"] => 12.5
  }.each do |(value, unit), cm|
    it("makes #{cm} cm of #{value} #{unit}") { expect(described_class.to_cm(value, unit)).to eq cm }
  end
end
