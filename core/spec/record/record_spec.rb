# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Record do
  # A record grows as its owner keeps it: each change at a time of its own, ribbons under ids.
  def grow(record, *changes)
    changes.reduce(record) do |grown, (what, *given)|
      named = given.last.is_a?(Hash) && what != :answer ? given.pop : {}
      added = grown.public_send(what, *given, **named).map do |one|
        one["kind"] == "ribbon" ? one.merge("id" => grown.events.size + 1) : one
      end
      grown.with(added, at: grown.events.size, by: "Ines")
    end
  end

  def record(*changes, **method) = grow(described_class.new(method: Grittle::FieldMethod.new(**method)), *changes)
  def push(*lengths) = lengths.map { |mm| [:ribbon, { entered: mm, unit: "mm" }] }

  it "lets the newest answer stand, and takes answers back" do
    made = record([:answer, { "wet_rub" => "neither", "shine" => "none" }], [:answer, { "wet_rub" => "very_smooth" }],
                  [:answer, { "shine" => nil }])
    expect(made.observations).to eq("wet_rub" => "very_smooth")
    expect(made.events.map { |one| one["by"] }).to all eq "Ines"
    expect(made.answer({ "wet_rub" => "very_smooth" })).to be_empty # nothing new
  end

  it "keeps a corrected ribbon in its place, and loses one that is taken back" do
    made = record(*push(40, 44))
    first, second = made.ribbons.map { |one| one["id"] }
    corrected = grow(made, [:ribbon, { entered: 41, unit: "mm", corrects: first }])
    expect(corrected.observations["ribbons"].map { |one| one["length_mm"] }).to eq [41.0, 44.0]
    expect(grow(corrected, [:take_back, second]).observations["ribbons"].size).to eq 1
    expect { corrected.take_back(first) }.to refuse_with(Grittle::InvalidInput, /taken back already/)
  end

  # The newer statement stands.
  it "takes measured ribbons back when none forms, and the other way round, and says so" do
    none = record([:answer, { "ball_holds" => true }], *push(40, 44), [:answer, { "ribbon_forms" => false }])
    expect(none.observations).to eq("ball_holds" => true, "ribbon_forms" => false)
    expect(none.superseded).to eq "You said that no ribbon forms, so the measured ones were taken back."
    again = grow(none, *push(20))
    expect(again.observations.keys).to eq %w[ball_holds ribbons]
    expect(again.superseded).to eq "A ribbon was measured, so that none forms was taken back."
    expect(grow(again, [:answer, { "wet_rub" => "neither" }]).superseded).to be_nil
  end

  it "goes round the moisture loop three times, and then lets the failed ball stand" do
    fails = [:answer, { "ball_holds" => false }]
    once = record(fails, [:moisture, "too_dry"])
    expect([once.answers["ball_holds"], once.moisture_open?, once.moisture_loop.rounds]).to eq [nil, false, 1]
    thrice = grow(once, fails, [:moisture, "too_wet"], fails, [:moisture, "too_dry"])
    expect(thrice.observations).to eq("ball_holds" => false, "moisture_rounds" => 3)
    expect(grow(once, fails, [:moisture, "neither"]).observations).to eq("ball_holds" => false, "moisture_rounds" => 1)
    expect { once.moisture("too_dry") }.to refuse_with(Grittle::InvalidInput, /asked after a ball/)
    expect { record(fails).moisture("damp") }.to refuse_with(Grittle::UnknownName, /no moisture answer “damp”/)
  end

  it "takes back a ball that holds although it is too wet, and asks again" do
    holds = [:answer, { "ball_holds" => true }]
    wet = record(holds, [:moisture, "too_wet"])
    expect(wet.observations).to eq({})
    expect(grow(wet, holds).observations).to eq("ball_holds" => true, "moisture_rounds" => 1)
    expect { record(holds).moisture("neither") }.to refuse_with(Grittle::InvalidInput, /only too dry or too wet/)
  end

  describe "the class" do
    let(:felt) { record([:answer, { "ball_holds" => true, "wet_rub" => "neither" }], *push(38, 39, 37)) }

    it "is the key's without a reason, and another with one" do
      expect(felt.assign("CL").last).to include("override" => false, "reason" => nil)
      expect { felt.assign("C") }.to refuse_with(
        Grittle::InvalidInput,
        "The key does not say clay. Write one line why you do."
      )
      expect(grow(felt, [:assign, "C", { reason: "Heavier to the spade." }]).assigned.code).to eq "C"
      expect { felt.assign("MC") }.to refuse_with(Grittle::UnknownName, /no class “MC”/)
    end

    it "carries what belongs to its name, light and heavy where the ribbon says so" do
      named = grow(felt, [:assign, "CL", { fragments: 20 }]).assigned
      expect(named.full_name).to eq "gravelly clay loam"
      # 38 mm are 29.4 % clay by the consensus curve: the lower third of 27 to 40.
      expect(felt.assign("CL", position: "light").last).to include("override" => false)
      expect { felt.assign("CL", position: "heavy") }.to refuse_with(
        Grittle::InvalidInput,
        /Nothing felt says that it is heavy/
      )
    end

    it "is none for organic soil, which has words of its own, unless a reason is given" do
      organic = record([:answer, { "blind_spots" => ["organic"], "ball_holds" => false }], [:moisture, "neither"])
      expect(organic.assessment.key.outcomes).to be_empty
      expect(organic.assessment.sentence).to start_with "Marked as organic."
      expect(organic.assessment.proposals.map(&:full_name)).to eq ["peat", "mucky peat", "muck"]
      expect { organic.assign("S") }.to refuse_with(Grittle::InvalidInput, /Organic soil gets no texture class/)
      expect(grow(organic, [:assign, "muck"]).assigned).to have_attributes(full_name: "muck", texture?: false)
      expect(organic.assign("S", reason: "Sand with roots.").last["override"]).to be true
    end

    it "is given by every key in the key's own names" do
      Grittle.keys.each do |key|
        made = record(key: key::ID)
        made.method.codes.each do |code|
          expect(grow(made, [:assign, code, { reason: "by eye" }]).assigned.to_h).to include(
            "key" => key::ID,
            "code" => code
          )
        end
      end
    end
  end

  it "keeps what was expected, and why a contradiction is kept" do
    made = record([:expect, "CL"], [:keep, "organic", "Burnt grass."])
    expect([made.expected.name, made.kept]).to eq ["clay loam", { "organic" => "Burnt grass." }]
    expect(grow(made, [:expect, nil], [:keep, "organic", nil])).to have_attributes(expected: nil, kept: {})
    expect { made.keep("organic", " ") }.to refuse_with(Grittle::InvalidInput, /one line why/)
    expect { made.keep("moon", "So.") }.to refuse_with(Grittle::UnknownName, /no rule “moon”/)
    expect { made.expect("moss") }.to refuse_with(Grittle::UnknownName, /no class “moss”/)
  end

  {
    [:answer, { "ribbons" => [] }] => /step by step/, [:answer, { "shine" => "blinding" }] => /no answer to shine/,
    [:ribbon, { entered: 12, unit: "in" }] => "A ribbon is 0 to 11.81 in long, not 12.", [:ribbon, { entered: 30,
    unit: "ell" }] => /no unit “ell”/,
    [:ribbon, { entered: 30, unit: "mm", thickness_mm: 40 }] => /mm thick, not 40/
  }.each do |(what, given), sentence|
    it("refuses #{what} #{given}") { expect { record([what, given]) }.to refuse_with(Grittle::InvalidInput, sentence) }
  end

  it "refuses an eleventh ribbon, but not a correction" do
    full = record(*push(*[40] * 10))
    expect { full.ribbon(entered: 40, unit: "mm") }.to refuse_with(Grittle::InvalidInput, /10 ribbons are enough/)
    expect(full.ribbon(entered: 41, unit: "mm", corrects: full.ribbons.first["id"]).size).to eq 1
  end
end
