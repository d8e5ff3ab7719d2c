# frozen_string_literal: true

require_relative "demo_clock"
require_relative "demo_companion_sheets"
require_relative "demo_picture"

# An invented valley for an empty database: three sites, four profiles, seventeen horizons, one profile half done. What
# the hand felt is drawn by the core's own simulator from a composition that is invented too, and goes through the same
# models as anybody's, so the demo cannot hold what the application would refuse.
module Demo
  TEXTURED_BY = "Maren"
  RECORDED_BY = "Tobe"
  # When the work began on each of the field days, UTC: one for every site, and one for what was done last.
  MORNINGS = %w[2026-09-14T07:40:00Z 2026-09-15T08:05:00Z 2026-09-15T13:20:00Z 2026-09-16T07:55:00Z].freeze
  # What the demo's ribbons were measured at.
  THICKNESS_MM = 3

  # What a horizon is made of, in percent, and the seed of the hand that felt it.
  def self.soil(sand, clay, seed, **more)
    { composition: Grittle::Composition.new(sand: sand, clay: clay), seed: seed, **more }
  end

  USUAL = Grittle::Evidence::Simulator::USUAL
  FULLER = [*USUAL, "cast_strength", "floury_feel", "sand_estimate"].freeze

  def self.seen(colour, boundary = nil, **described)
    { moist_colour: colour, boundary: boundary, described: described.presence }.compact
  end

  # pH by kit at depths in cm.
  def self.ph(**values)
    values.map do |cm, ph|
      { upper_cm: cm.to_s.to_i, kind: "crumb", findings: [{ test: "ph", value: { value: ph, method: "kit" } }] }
    end
  end

  # Horizon: designation, depths in cm, soil, colour and lower boundary. `as` overrides the key, with the reason given;
  # `tests` makes others than usual.
  SITES = [
    { name: "High Tare", landform: "upper_slope", note: "Old pasture under the ridge, to be planted. Dry summer.",
      position: "47°55'04.8\"N 15°12'14.4\"E",
      described: { date: "2026-09-14", slope_percent: 12, aspect: "sw", land_use: "Pasture", weather: "dry" },
      profiles: [
        { name: "Tare 1", kind: "pit",
          described: { excavated_depth_cm: 130, stopped_by: "depth_reached", parent_material: "colluvium" },
          samples: [*ph("5": 5.5, "25": 5, "45": 6, "80": 7, "115": 7.5),
                    { upper_cm: 50, kind: "crumb",
                      findings: [
                        {
                          test: "crumb",
                          value: {
                            slaking: "a_little",
                            dispersion: "some",
                            minutes: 120,
                            water: "rain",
                            size_mm: 8,
                            air_dry: true
                          }
                        }
                      ] },
                    { upper_cm: 110, lower_cm: 125, kind: "bag", label: "T1-5" }],
          again: { of: "BC", textured_by: "Ilka", **soil(30, 44, 3) }, horizons: [
            [
              "Ap",
              0,
              18,
              soil(42, 19, 1),
              seen(
                "10YR 3/3",
                "clear",
                roots: "many",
                structure_grade: "moderate",
                structure_type: "crumb",
                earthworms: 6,
                moisture: "dry"
              )
            ],
            ["E", 18, 32,
             soil(62, 15, 39, as: ["SL", "Weak ribbons that only just hold, and bleached: sandy loam to the hand."]),
             seen(
               "10YR 6/2",
               "abrupt",
               roots: "few",
               structure_grade: "massive",
               fragments_percent: 4,
               moisture: "dry"
             )],
            [
              "Bt",
              32,
              66,
              soil(24, 52, 1),
              seen(
                "7.5YR 4/4",
                "gradual",
                roots: "few",
                structure_grade: "strong",
                structure_type: "prismatic",
                mottle_abundance: "few",
                mottle_kind: "rusty",
                fragments_percent: 2,
                moisture: "moist"
              )
            ],
            [
              "BC",
              66,
              95,
              soil(34, 33, 1),
              seen("10YR 5/4", "diffuse", structure_grade: "weak", fragments_percent: 8, moisture: "moist")
            ],
            [
              "C",
              95,
              130,
              soil(58, 24, 6),
              seen(
                "2.5Y 5/4",
                fragments_percent: 30,
                fragments_shape: "angular",
                effervescence: "slight",
                moisture: "moist"
              )
            ]
          ] }
      ] },
    { name: "Sallow Bottom", landform: "drainage_line", note: "Rushes, wet until May. A drain is " \
                                                              "wanted.", position: "47.9142, 15.2101",
      described: { date: "2026-09-15", land_use: "Meadow", vegetation: "Rushes, sedges", weather: "moist" },
      profiles: [
        { name: "Sallow 1", kind: "probe", horizons: [
          [
            "Ah",
            0,
            15,
            soil(14, 14, 1),
            seen(
              "10YR 2/1",
              "clear",
              roots: "common",
              structure_grade: "moderate",
              structure_type: "crumb",
              moisture: "moist"
            )
          ],
          ["Cg1", 15, 48, soil(10, 39, 14, tests: FULLER),
           seen("5Y 5/2", "gradual", mottle_abundance: "common", mottle_kind: "rusty", roots: "few", moisture: "wet")],
          [
            "Cg2",
            48,
            80,
            soil(7, 48, 6),
            seen("5GY 5/1", "abrupt", structure_grade: "massive", moisture: "wet", odour: "faintly of eggs")
          ],
          [
            "2C",
            80,
            110,
            soil(82, 5, 1),
            seen(
              "2.5Y 6/3",
              structure_grade: "single_grain",
              fragments_percent: 12,
              discontinuity: true,
              moisture: "wet"
            )
          ]
        ] }
      ] },
    {
      name: "Kiln Bank",
      landform: "lower_slope",
      note: "Road cutting, cleaned back half a metre.",
      position: "47.9203, 15.1987",
      profiles: [
        {
          name: "Cutting",
          kind: "cutting",
          horizons: [["A", 0, 24, soil(65, 11, 1)], ["Bw", 24, 62, soil(56, 26, 6)], ["C", 62, 105, soil(93, 2, 1)]]
        }
      ]
    }
  ].freeze

  # The half-done profile comes last, so that it is the work to go on with.
  HALF_DONE = {
    name: "Tare 2", kind: "hand_auger",
    increments: [
      { from_cm: 0, to_cm: 20, condition: "whole" },
      { from_cm: 20, to_cm: 40, lost_cm: 3, condition: "whole" },
      { from_cm: 40, to_cm: 65, condition: "whole" }
    ],
    horizons: [
      ["Ap", 0, 20, soil(38, 18, 1)],
      ["AB", 20, 38, soil(36, 29, 1)],
      ["Bt1", 38, 64, soil(30, 41, 34, tests: %w[mould_feel], stop_at: "ribbon")],
      ["Bt2", 64, 92, nil],
      ["C", 92, 125, nil]
    ]
  }.freeze

  # A table as an authority might issue one; none did.
  TABLE = {
    name: "Invented example table", authority: "No authority: invented for the demo", dated_on: "2026-09-01",
    rows: [
      ["1", nil, "50"], ["2", nil, "40"], %w[SL massive unsuitable], ["3", nil, "25"], %w[4 moderate 15],
      %w[4 weak 10], %w[4 massive unsuitable], ["5", nil, "8"], %w[6 strong 5],
      ["6", nil, "unsuitable"]
    ].map do |match, structure, value|
      { "match" => match, "structure_grade" => structure, "value" => value, "unit" => ("mm/d" if value =~ /\d/),
        "note" => "invented" }
    end
  }.freeze

  module_function

  def load
    ActiveRecord::Base.transaction do
      Clock.run(*MORNINGS) do |clock|
        SITES.each { |facts| site(facts, clock) }
        clock.next_morning
        quick(clock)
        profile(Site.find_by!(name: "High Tare"), HALF_DONE, clock)
        clock.pass(60..120)
        AssessorTable.make(Fieldbook.current, TABLE)
        CompanionSheets.load(Profile.find_by!(name: "Tare 1"), clock)
        photograph(Profile.find_by!(name: "Tare 2").horizons.find { |layer| layer.designation == "Bt1" }.speaks)
      end
    end
  end

  # One more ribbon, measured on its picture.
  def photograph(reading)
    photo = Photo.make(reading, DemoPicture.call, name: "Ribbon beside the ruler.jpg")
    reading.add_measured_ribbon(reading.lock_version, photo: photo, marks: DemoPicture.marks, ended: "broke")
    reading.stand_at(step: "ribbon")
  end

  def site(facts, clock)
    clock.next_morning
    site = Site.make(**facts.slice(:name, :landform, :note, :position, :described).compact)
    facts[:profiles].each { |profile| profile(site, profile, clock) }
  end

  # Seconds that the parts of the work take, as the work is: a pit is dug, a horizon described, a palmful wetted and
  # kneaded, a ribbon pushed, an answer given. [common practice]
  DIG = (1500..2700)
  DESCRIBE = (120..300)
  KNEAD = (60..150)
  PUSH = (25..60)
  ANSWER = (8..25)

  def profile(site, facts, clock)
    clock.pass(DIG)
    profile =
      Profile.make(
        site,
        { name: facts[:name], kind: facts[:kind], textured_by: TEXTURED_BY, recorded_by: RECORDED_BY,
**facts.slice(:described, :increments) }
      )
    facts[:horizons].each do |designation, upper, lower, soil, seen = {}|
      clock.pass(DESCRIBE)
      horizon = Horizon.make(profile, designation: designation, upper_cm: upper, lower_cm: lower, **seen)
      texture(Reading.make(horizon: horizon), clock, **soil) if soil
    end
    clock.pass(DESCRIBE)
    Sample.make(profile, facts[:samples]) if facts[:samples]
    another_hand(profile, clock, **facts[:again]) if facts[:again]
  end

  # A second reading of one horizon by another hand, on which the first stays the one reported.
  def another_hand(profile, clock, of:, textured_by:, **soil)
    clock.pass(DESCRIBE)
    horizon = profile.horizons.find { |layer| layer.designation == of }
    first = horizon.speaks
    texture(Reading.make(horizon: horizon, textured_by: textured_by), clock, **soil)
    horizon.reload.change(horizon.lock_version, { reported_reading_id: first.id })
  end

  def quick(clock)
    texture(Reading.make(label: "Bed by the gate", textured_by: TEXTURED_BY, recorded_by: TEXTURED_BY), clock,
            **soil(40, 24, 1))
  end

  APART = %w[mould_feel ball_holds ribbon_forms ribbons moisture_rounds].freeze

  def texture(reading, clock, composition:, seed:, tests: USUAL, as: nil, stop_at: nil)
    texture_felt(reading, clock, Grittle::Evidence::Simulator.new(seed).feel(composition, tests: tests),
                 as: as, stop_at: stop_at)
  end

  def texture_felt(reading, clock, felt, as: nil, stop_at: nil)
    clock.pass(KNEAD)
    answer(reading, felt.slice("mould_feel"))
    felt["ball_holds"] ? ball_and_ribbons(reading, felt, clock) : no_ball(reading, clock)
    felt.except(*APART).each do |test, said|
      clock.pass(ANSWER)
      answer(reading, test => said)
    end
    return reading.stand_at(step: stop_at) if stop_at

    clock.pass(ANSWER)
    code, reason = as || [reading.assessment.key.outcomes.max_by(&:last).first, nil]
    reading.assign(reading.lock_version, code, reason: reason)
    reading.stand_at(step: "assign")
  end

  def no_ball(reading, clock)
    clock.pass(ANSWER)
    answer(reading, "ball_holds" => false)
    clock.pass(KNEAD)
    reading.answer(reading.lock_version, moisture: "too_dry")
    answer(reading, "ball_holds" => false)
    reading.answer(reading.lock_version, moisture: "neither")
  end

  def ball_and_ribbons(reading, felt, clock)
    clock.pass(ANSWER)
    answer(reading, "ball_holds" => true)
    clock.pass(PUSH)
    return answer(reading, "ribbon_forms" => false) unless felt["ribbons"]

    felt["ribbons"].each do |ribbon|
      clock.pass(PUSH)
      reading.add_ribbon(
        reading.lock_version,
        entered: ribbon["length_mm"],
        unit: "mm",
        thickness_mm: THICKNESS_MM,
        ended: ribbon["ended"]
      )
    end
  end

  def answer(reading, answers)
    reading.answer(reading.lock_version, answers: answers) unless answers.empty?
  end
end
