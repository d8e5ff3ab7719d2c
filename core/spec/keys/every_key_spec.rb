# frozen_string_literal: true

require_relative "../spec_helper"
require_relative "../support/random_observations"

RSpec.describe "Every key" do
  let(:keys) { Grittle.keys }

  def walk(key, given) = key.new(Grittle::Observations.new(given)).result

  # Fixed seed; complete sets and sets with gaps. Failures are gathered: an expectation a walk would take a minute.
  it "names outcomes or asks something that is still unanswered, for 2000 random sets" do
    draw = RandomObservations.new(20_261_125)
    wrong = (0...2000).flat_map do |index|
      given = draw.draw(index.even? ? 0.9 : 0.35)
      observations = Grittle::Observations.new(given)
      keys.filter_map { |key| [key::ID, given] unless sound?(key.new(observations).result, given) }
    end
    expect(wrong).to be_empty
  end

  def sound?(result, given)
    return false if result.possible.empty?
    return result.outcomes.empty? && unanswered?(result.next_question, given) if result.next_question

    (result.outcomes.sum { |_, weight| weight } - 1).abs < 1e-9
  end

  # Ribbons that all tore are no answer yet.
  def unanswered?(question, given)
    question == "ribbons" ? (given["ribbons"] || []).all? { |ribbon| ribbon["ended"] == "torn" } : !given.key?(question)
  end

  it "ends within the tests it can ask, when its questions are answered at random" do
    draw = RandomObservations.new(7)
    300.times do
      keys.each do |key|
        given = draw.draw(0.15).except("ribbons")
        asked = []
        while (question = walk(key, given).next_question)
          expect(asked).not_to include(question), key::ID
          expect(key::ASKS).to include(question), key::ID
          asked << question
          given[question] = question == "ribbons" ? [{ "length_mm" => 33 }] : draw.value(question)
        end
        expect(asked.size).to be <= key::ASKS.size
      end
    end
  end

  it "has a name for everything it can end at" do
    draw = RandomObservations.new(11)
    500.times do
      given = draw.draw(0.8)
      keys.each do |key|
        walk(key, given).outcomes.each do |code, _|
          expect(Grittle::Names.fetch(key::SYSTEM, code).name).to be_a(String)
        end
      end
    end
  end

  # Common practice and the keys' own pages: one set of answers, given once, answered by every school.
  describe "given one set of answers" do
    let(:given) do
      {
        "ball_holds" => true,
        "cast_strength" => "strong",
        "toss" => "holds",
        "ribbons" => ribbons(44, 47, 45, carried_own_weight: true),
        "ribbon_character" => "thin",
        "wet_rub" => "neither",
        "grittiness" => "moderate",
        "floury_feel" => "some",
        "sand_estimate" => {
          "percent" => 31.25,
          "half_width" => 6.25
        },
        "stickiness" => "moderately",
        "plasticity" => "moderately",
        "finest_wire_mm" => "3",
        "ring_forms" => true,
        "shine" => "slight",
        "squeezed_surface" => "moderately_shiny",
        "coherence" => "strongly_coherent",
        "rods" => "fracture"
      }
    end

    it "asks nothing more, in any key" do
      expect(keys.to_h { |key| [key::ID, walk(key, given).next_question] }.compact).to be_empty
      firsts = keys.to_h { |key| [key::ID, walk(key, given).outcomes.first.first] }
      expect(firsts).to include(
        "ribbon_and_rub" => "CL",
        "sand_first" => "CL",
        "rolling" => "CL",
        "two_numbers" => "CL",
        "texture_groups" => "moderately_fine",
        "length_alone" => "loam",
        "field_grades" => "CLS"
      )
    end

    it "asks for the ring where the ring is taken away, in exactly the keys that need it" do
      asking = keys.to_h { |key| [key::ID, walk(key, given.except("ring_forms")).next_question] }.compact
      expect(asking).to eq("rolling" => "ring_forms")
    end
  end
end
