# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Profiles do
  def range(upper, lower) = Grittle::Profiles::DepthRange.new(upper, lower)

  {
    [40, 20] => /40 to 20 cm runs upwards/, [20, 20] => /runs upwards/, [-1, 20] => /Upper depth .* not -1/,
    [0, 1001] => /Lower depth .* 0 to 1000/, [nil, 20] => /Upper depth is a number of cm/
  }.each do |(upper, lower), sentence|
    it("refuses #{upper.inspect} to #{lower}") do
      expect { range(upper, lower) }.to refuse_with(Grittle::InvalidDepths, sentence)
    end
  end

  describe Grittle::Profiles::HorizonSequence do
    subject(:sequence) { described_class.new("A" => range(0, 20), "C" => range(50, 90)) }

    it "takes a horizon that touches its neighbours and refuses one that overlaps" do
      expect { sequence.check_fits(range(20, 50)) }.not_to raise_error
      expect { sequence.check_fits(range(15, 50)) }
        .to refuse_with(Grittle::InvalidDepths, "15 to 50 cm overlaps A, which is 0 to 20 cm.")
      expect { sequence.check_fits(range(20, 55)) }.to(
        raise_error { |e| expect(e.problems.first.pointer).to eq "/lower_cm" }
      )
    end

    it("names gaps") { expect(sequence.gaps.map(&:to_s)).to eq ["20 to 50 cm"] }
  end
end
