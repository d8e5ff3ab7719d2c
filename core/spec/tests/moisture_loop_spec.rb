# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::MoistureLoop do
  # Answers after each failed ball, whether the ball holds now => moisture_rounds (nil: the loop goes on).
  {
    [[], nil] => nil, [[], false] => nil, [["too_dry"], false] => nil, [["neither"], false] => 0, [[], true] => nil,
    [%w[too_dry too_wet], false] => nil, [%w[too_dry too_wet too_dry], false] => 3, [%w[too_dry neither], false] => 1,
    [%w[too_dry], true] => 1
  }.each do |(answers, ball), rounds|
    it "makes #{rounds.inspect} rounds of #{answers.join(', ')} with ball #{ball.inspect}" do
      expect(described_class.new(answers).moisture_rounds(ball)).to eq rounds
    end
  end
end
