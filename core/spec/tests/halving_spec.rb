# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Halving do
  {
    [] => [50.0, 50.0], %w[more] => [75.0, 25.0], %w[less more] => [37.5, 12.5], %w[less more less] => [31.25, 6.25],
    %w[less more less more] => [31.25, 6.25]
  }.each do |answers, (percent, half_width)|
    it("makes #{percent} ± #{half_width} of #{answers}") do
      expect(described_class.new(answers).estimate).to eq("percent" => percent, "half_width" => half_width)
    end
  end
end
