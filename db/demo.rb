# frozen_string_literal: true

# An invented valley for an empty database: three sites, four profiles, seventeen horizons, one profile half done. The
# readings go through the same models as anybody's, so the demo cannot hold what the application would refuse.
module Demo
  HAND = "Maren"
  PEN = "Tobe"

  # Horizon: designation, depths in cm, ribbons in mm (or why there are none), rub, and what else was felt.
  # `as` overrides the key, with the reason given.
  SITES = [
    { name: "High Tare", landform: "upper_slope", note: "Old pasture under the ridge, to be planted. Dry summer.",
      profiles: [
        { name: "Tare 1", kind: "pit", horizons: [
          ["Ap", 0, 18, { ribbons: [19, 21, 20], wet_rub: "neither", grittiness: "slight", mould_feel: "soft" }],
          ["E", 18, 32, { ribbons: [31, 30, 32], wet_rub: "very_gritty", grittiness: "moderate", mould_feel: "soft",
                          as: ["SL", "Weak ribbons that only just hold, and bleached: sandy loam to the hand."] }],
          ["Bt", 32, 66, { ribbons: [71, 68, 73], wet_rub: "neither", grittiness: "slight", stickiness: "very",
                           plasticity: "very", mould_feel: "stiff" }],
          ["BC", 66, 95, { ribbons: [40, 38, 42], wet_rub: "neither", grittiness: "moderate", mould_feel: "doughy" }],
          ["C", 95, 130, { ribbons: [36, 34, 35], wet_rub: "very_gritty", grittiness: "very", mould_feel: "doughy" }]
        ] }
      ] },
    { name: "Sallow Bottom", landform: "drainage_line", note: "Rushes, wet until May. A drain is wanted.",
      profiles: [
        { name: "Sallow 1", kind: "probe", horizons: [
          ["Ah", 0, 15, { ribbons: [15, 13, 16], wet_rub: "very_smooth", grittiness: "none", mould_feel: "soft" }],
          ["Cg1", 15, 48, { ribbons: [46, 53, 61], wet_rub: "very_smooth", grittiness: "none", stickiness: "moderately",
                            mould_feel: "doughy" }],
          ["Cg2", 48, 80, { ribbons: [70, 70, 70], wet_rub: "very_smooth", grittiness: "none", stickiness: "very",
                            plasticity: "very", mould_feel: "stiff" }],
          ["2C", 80, 110, { ribbons: :none, mould_feel: "crumbly" }]
        ] }
      ] },
    { name: "Kiln Bank", landform: "lower_slope", note: "Road cutting, cleaned back half a metre.",
      profiles: [
        { name: "Cutting", kind: "cutting", horizons: [
          ["A", 0, 24, { ribbons: [17, 18, 16], wet_rub: "very_gritty", grittiness: "very", mould_feel: "crumbly" }],
          ["Bw", 24, 62, { ribbons: [33, 31, 34], wet_rub: "very_gritty", grittiness: "moderate", mould_feel: "soft" }],
          ["C", 62, 105, { ribbons: :no_ball }]
        ] }
      ] }
  ].freeze

  # The half-done profile comes last, so that it is the work to go on with.
  HALF_DONE = {
    name: "Tare 2", kind: "hand_auger", horizons: [
      ["Ap", 0, 20, { ribbons: [22, 20, 21], wet_rub: "neither", grittiness: "slight", mould_feel: "soft" }],
      ["AB", 20, 38, { ribbons: [33, 35], wet_rub: "neither", grittiness: "slight", mould_feel: "doughy" }],
      ["Bt1", 38, 64, { ribbons: [52, 57, 49], ended: %w[broke folded broke], moist_clod: "firm", mould_feel: "stiff",
                        stop_at: "ribbon" }],
      ["Bt2", 64, 92, nil],
      ["C", 92, 125, nil]
    ]
  }.freeze

  module_function

  def load
    ActiveRecord::Base.transaction do
      SITES.each { |facts| site(facts) }
      quick
      profile(Site.find_by!(name: "High Tare"), HALF_DONE)
    end
  end

  def site(facts)
    site = Site.make(**facts.slice(:name, :landform, :note))
    facts[:profiles].each { |profile| profile(site, profile) }
  end

  def profile(site, facts)
    profile = Profile.make(site, { name: facts[:name], kind: facts[:kind], hand: HAND, pen: PEN })
    facts[:horizons].each do |designation, upper, lower, felt|
      horizon = Horizon.make(profile, designation: designation, upper_cm: upper, lower_cm: lower)
      texture(Reading.begin(horizon: horizon), felt) if felt
    end
  end

  def quick
    reading = Reading.begin(label: "Bed by the gate", hand: HAND, pen: HAND)
    texture(reading, ribbons: [31, 30, 33], wet_rub: "neither", grittiness: "slight", mould_feel: "doughy")
  end

  def texture(reading, felt)
    answer(reading, felt.slice(:moist_clod, :mould_feel))
    felt[:ribbons] == :no_ball ? no_ball(reading) : ball_and_ribbons(reading, felt)
    answer(reading, felt.slice(:wet_rub, :grittiness, :stickiness, :plasticity))
    return reading.stand_at(step: felt[:stop_at]) if felt[:stop_at]

    code, reason = felt[:as] || [reading.assessment.key.outcomes.first.first, nil]
    reading.assign(reading.lock_version, code, reason: reason)
    reading.stand_at(step: "assign")
  end

  def no_ball(reading)
    answer(reading, ball_holds: false)
    reading.answer(reading.lock_version, moisture: "too_dry")
    answer(reading, ball_holds: false)
    reading.answer(reading.lock_version, moisture: "neither")
  end

  def ball_and_ribbons(reading, felt)
    answer(reading, ball_holds: true)
    return answer(reading, ribbon_forms: false) if felt[:ribbons] == :none

    felt[:ribbons].each_with_index do |length, index|
      reading.add_ribbon(reading.lock_version, entered: length, unit: "mm", thickness_mm: 3,
                                               ended: felt.dig(:ended, index))
    end
  end

  def answer(reading, answers)
    reading.answer(reading.lock_version, answers: answers.transform_keys(&:to_s)) unless answers.empty?
  end
end
