# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Keys::RibbonAndRub do
  def walk(given, **options) = described_class.new(Grittle::Observations.new(given), **options).result
  def codes(given, **options) = walk(given, **options).outcomes.map(&:first)
  def holding(*lengths, rub) = { "ball_holds" => true, "ribbons" => ribbons(*lengths), "wet_rub" => rub }

  # Every outcome of the printed key, and both sides of its limits [Thien 1979, J. Agron. Educ. 8:54-55].
  # Ten equal ribbons come as near a bare length as a set can.
  {
    24.9 => %w[SL L SIL], 25.0 => %w[SCL CL SICL], 49.9 => %w[SCL CL SICL], 50.0 => %w[SC C SIC]
  }.each do |length, classes|
    %w[very_gritty neither very_smooth].zip(classes).each do |rub, code|
      it("calls #{length} mm, #{rub}, #{code} first") { expect(codes(holding(*[length] * 10, rub)).first).to eq code }
    end
  end

  it "ends at sand without a ball and at loamy sand without a ribbon" do
    expect(codes({ "ball_holds" => false, "moisture_rounds" => 0 })).to eq ["S"]
    expect(codes({ "ball_holds" => true, "ribbon_forms" => false })).to eq ["LS"]
  end

  # Common practice, no source.
  it "follows the trade" do
    expect(codes(holding(70, 72, "neither"))).to eq ["C"]
    expect(codes(holding(12.7, 12.7, "very_gritty")).first).to eq "SL"
    expect(codes(holding(50.8, 50.8, "very_gritty")).first).to eq "SC"
    expect(codes(holding(50.8, 50.8, "very_gritty"), limit_set: "inch_tiers").first).to eq "SCL"
  end

  # Check figures of the ribbon set: 46, 53, 61 has 75 % above 50 mm.
  it "names both classes with their odds on the limit" do
    result = walk(holding(46, 53, 61, "very_smooth"))
    expect(result.outcomes.map { |code, odds| [code, odds.round(2)] }).to eq [["SIC", 0.75], ["SICL", 0.25]]
    expect(result.on_the_limit).to be true
    clear = walk(holding(70, 70, 70, "very_smooth"))
    expect([clear.outcomes, clear.on_the_limit]).to eq [[["SIC", 1.0]], false]
  end

  it "lets one ribbon name three classes where its interval spans a tier" do
    expect(codes(holding(38, "neither"))).to eq %w[CL C L]
  end

  it "says what each limit set makes of one ribbon of 55 mm" do
    sets = Grittle.assess(holding(55, "neither")).to_h["limit_sets"]
    first = sets.to_h { |set| [set["limit_set"], set["tiers"].max_by { |tier| tier["odds"] }["tier"]] }
    expect(first).to eq("metric" => "strong", "inch_tiers" => "strong", "contest" => "medium")
  end

  # Lengths about the inch tiers' ends, which both belong to medium, and the contest's two and a half inches.
  { 25.3 => %w[weak weak], 25.4 => %w[medium medium], 50.8 => %w[medium medium], 50.9 => %w[strong medium],
    63.4 => %w[strong medium], 63.5 => %w[strong strong] }.each do |length, tiers|
    it "puts #{length} mm into #{tiers.join(' and ')} by inch tiers and contest" do
      found = %w[inch_tiers contest].map do |limit_set|
        walk(holding(*[length] * 3, "neither"), limit_set: limit_set).path[1]["tier"]
      end
      expect(found).to eq tiers
    end
  end

  describe "a stub" do
    # (13 - 9)/16 = 0.25
    it "of 9 mm is named loamy sand beside sandy loam when it rubs very gritty, else flagged, and smooth not even " \
       "that" do
      gritty = walk(holding(9, "very_gritty"))
      expect(gritty.outcomes).to eq [["SL", 0.75], ["LS", 0.25]]
      smooth = walk(holding(9, "very_smooth"))
      expect(smooth.outcomes).to eq [["SIL", 1.0]]
      expect([gritty, smooth].map { |result| result.notes.first["rule"] }).to eq %w[near_stub one_ribbon]
    end

    it "flags from 5 to under 13 mm" do
      flagged = [4.9, 5, 12.9, 13].map { |mm| walk(holding(mm, "neither")).notes.any? { |n| n["rule"] == "near_stub" } }
      expect(flagged).to eq [false, true, true, false]
    end

    it "counts as a ribbon by the profile's rule" do
      counts = %w[any_length five_mm half_inch].map do |rule|
        walk(holding(4, 4, "very_gritty"), ribbon_counts_from: rule).path[1]["tier"]
      end
      expect(counts).to eq %w[weak none none]
      expect(walk(holding(9, 9, "very_gritty"), ribbon_counts_from: "half_inch").outcomes.first.first).to eq "LS"
    end
  end

  describe "with answers missing" do
    {
      {} => ["ball_holds", 11],
      { "ball_holds" => false } => ["moisture_rounds", 11],
      { "ball_holds" => true } => ["ribbon_forms", 10],
      { "ball_holds" => true, "ribbon_forms" => true } => ["ribbons", 9],
      { "ribbons" => ribbons(70, 70, 70) } => ["wet_rub", 3],
      { "ball_holds" => true, "wet_rub" => "very_smooth" } => ["ribbon_forms", 4],
      { "ribbons" => ribbons(20, ended: "torn") } => ["ribbon_forms", 10]
    }.each do |given, (question, count)|
      it "asks for #{question} and leaves #{count} classes after #{given.keys.join(', ')}" do
        result = walk(given)
        expect([result.next_question, result.outcomes, result.possible.size]).to eq [question, [], count]
      end
    end

    # Fixed seed; every combination of given and missing answers the key can ask for.
    it "always names classes or asks something unanswered, and ends when its questions are answered" do
      random = Random.new(20_261_124)
      answers = { "ball_holds" => [true, false], "moisture_rounds" => [0, 3], "ribbon_forms" => [true, false],
                  "wet_rub" => %w[very_gritty very_smooth neither], "ribbons" => nil }
      pick = lambda do |name|
        if name == "ribbons"
          ribbons(*Array.new(random.rand(1..10)) { random.rand(0..120) })
        else
          answers[name].sample(random: random)
        end
      end
      500.times do
        given = answers.keys.select { random.rand < 0.4 }.to_h { |name| [name, pick.call(name)] }
        6.times do
          result = walk(given, limit_set: Grittle::Keys::LimitSets::ALL.keys.sample(random: random))
          break if result.next_question.nil?

          expect(given).not_to have_key result.next_question
          expect(result.possible).not_to be_empty
          given[result.next_question] = pick.call(result.next_question)
        end
        result = walk(given)
        expect(result.outcomes.sum { |_, weight| weight }).to be_within(1e-9).of(1)
        expect(result.outcomes.map(&:first)).to eq result.outcomes.map(&:first).uniq
      end
    end
  end

  it "lists what the ball and the measured length overrule" do
    given = holding(40, 40, "neither").merge("ball_holds" => false, "moisture_rounds" => 3)
    expect(walk(given)).to have_attributes(outcomes: [["S", 1.0]], disagreeing_tests: ["ribbons"])
    given = holding(40, 40, "neither").merge("ribbon_forms" => false)
    expect(walk(given).disagreeing_tests).to eq ["ribbon_forms"]
  end

  it "says that silt is none of its outcomes, where it matters" do
    note = walk(holding(15, 15, "very_smooth").merge("decanted_sand" => "none")).notes.last["sentence"]
    expect(note).to start_with "Silt loam, perhaps silt"
  end

  it "speaks in the unit asked for" do
    expect(walk(holding(55, "neither"), unit: "in").path[1]["text"]).to eq "ribbon 2.17 in: strong"
  end
end
