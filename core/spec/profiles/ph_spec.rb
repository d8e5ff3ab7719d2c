# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Profiles::Ph do
  # [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3]
  {
    3.4 => "ultra acid",
    3.5 => "extremely acid",
    4.4 => "extremely acid",
    4.5 => "very strongly acid",
    5.5 => "strongly acid",
    6.0 => "moderately acid",
    6.1 => "slightly acid",
    6.6 => "neutral",
    7.34 => "neutral",
    7.4 => "slightly alkaline",
    8.0 => "moderately alkaline",
    9.0 => "strongly alkaline",
    9.1 => "very strongly alkaline"
  }.each { |ph, name| it("calls #{ph} #{name}") { expect(described_class.class_of(ph)).to eq name } }

  [-1, 15, "7", nil].each do |bad|
    it("refuses #{bad.inspect}") do
      expect { described_class.class_of(bad) }.to refuse_with(Grittle::InvalidInput, /0 to 14/)
    end
  end
end
