# frozen_string_literal: true

RSpec.describe Grittle::Tests::Steps do
  keys = Grittle.keys.map { |key| key::ID }

  keys.each do |key|
    describe "the path of #{key}" do
      let(:path) { described_class.of(key) }

      it "begins with the sample, ends with the class, and passes no step twice" do
        ids = path.map { |step| step[:id] }
        expect([ids.first, ids.last]).to eq %w[prepare assign]
        expect(ids).to eq ids.uniq
        expect(ids.index("ball")).to be > ids.index("moisten")
      end

      it "has a place for every test, and one alone" do
        tests = path.flat_map { |step| step[:tests] }
        expect(tests).to eq tests.uniq
        expect(tests).to match_array(Grittle::Tests::Catalogue::TESTS.keys)
      end

      it "offers on the way only what can be made by itself as well" do
        noticed = path.flat_map { |step| step[:noticed] }
        expect(path.find { |step| step[:id] == "more" }[:tests]).to include(*noticed)
      end
    end
  end

  # What is noticed while kneading and squeezing. [common practice, no source]
  {
    "moisten" => %w[water_uptake stiffens_while_worked stickiness],
    "ball" => %w[cast_strength toss]
  }.each do |step, noticed|
    it("offers #{noticed.join(', ')} at #{step}") { expect(described_class::ALL[step][:noticed]).to eq noticed }
  end
end
