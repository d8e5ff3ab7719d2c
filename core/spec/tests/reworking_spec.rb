# frozen_string_literal: true

require_relative "../spec_helper"

# The ten minutes and the rise of one grade [from memory: Australian Soil and Land Survey Field Handbook, 3rd ed.,
# 2009].
RSpec.describe Grittle::Reworking do
  def worked(early, late, **more)
    made = ribbons(*early, working_minute: 1.5) + ribbons(*late, working_minute: 10)
    Grittle.assess({ "ball_holds" => true, "grittiness" => "none", "wet_rub" => "neither", "ribbons" => made,
                     **more.transform_keys(&:to_s) })
  end

  {
    [[44, 46], [62, 63]] => [
      true,
      "Worked ten minutes, 45 mm became 63 mm: clay loam became light clay. That is subplastic."
    ],
    [[44, 46], [45, 47]] => [
      false,
      "Worked ten minutes, 45 mm became 46 mm: still clay loam, so it is not subplastic."
    ],
    [[44, 46], [25]] => [false, "Worked ten minutes, 45 mm became 25 mm: still loam, so it is not subplastic."]
  }.each do |(early, late), (subplastic, sentence)|
    it "says of #{early.join(', ')}, then #{late.join(', ')} mm: #{subplastic}" do
      expect(worked(early, late).to_h["reworked"]).to include("subplastic" => subplastic, "sentence" => sentence)
    end
  end

  it "never averages across the ten minutes" do
    found = worked([44, 46], [62, 63])
    expect(found.observations.ribbon_set.mean).to eq 45
    expect(found.to_h["reworked"]["ribbon_set"]["mean_mm"]).to eq 62.5
  end

  it "lets late ribbons count where there are no earlier ones" do
    found = worked([], [62, 63])
    expect(found.observations.ribbon_set.mean).to eq 62.5
    expect(found.to_h["reworked"]).to be_nil
  end

  it "asks for the feel before it judges" do
    expect(worked([44], [62], grittiness: nil, wet_rub: nil).to_h["reworked"]).to include(
      "before" => nil,
      "sentence" => /Feel for grit/
    )
  end

  it "has every grade in its order, once" do
    expect(described_class::ORDER).to match_array(Grittle::Keys::FieldGrades::GRADES.keys)
  end
end
