# frozen_string_literal: true

# Companion tests by the clock. Arithmetic is held against the check values in consequences/check_values_spec.rb; here:
# when looks are due, what counts, and what the looks come to.
RSpec.describe "companion tests by the clock" do
  def run(test, *places)
    Grittle.companion_test("test" => test, "places" => places.each_with_index.map do |place, at|
      { "name" => "place #{at + 1}", **place }
    end)
  end

  def one(test, *looks, **more)
    run(test, { "looks" => looks, **more.transform_keys(&:to_s) })["places"].first
  end

  def due(test, *looks, **more) = one(test, *looks, **more)["due"].map { |due| due.values_at("minutes", "state") }

  def levels(*readings, **setup)
    [setup.transform_keys(&:to_s), { "minutes" => 0, "refilled" => true },
     *readings.map { |minutes, mm| { "minutes" => minutes, "water_mm" => mm, "refilled" => true } }]
  end

  describe "looks" do
    # [our own: a look counts within a fifth of its time]
    [[4, "done"], [6, "done"], [3.9, "late"], [6.1, "late"]].each do |minutes, state|
      it "after #{minutes} min the look at 5 min is #{state}" do
        expect(due("crumb", { "minutes" => minutes, "slaking" => "not" }).first).to eq([5, state])
      end
    end

    it "keep a late look with its real minutes and say why it counts for no time" do
      found = one("crumb", { "minutes" => 300, "slaking" => "fully", "dispersion" => "none" })
      expect(found["marks"]).to eq(["after 5 h, asked for after 2 h: kept, counts for no time"])
    end

    it "call a look missed once the next one's time has come" do
      expect(due("crumb", now: 8)).to eq([[5, "missed"], [10, "open"], [120, "open"], [1200, "open"]])
    end

    it "are not asked for any more once the class is decided" do
      expect(due("crumb", { "minutes" => 5, "slaking" => "fully", "dispersion" => "complete" })).to eq([[5, "done"]])
    end

    it "are reminded of a minute before, of those that are hours away ten" do
      expect(one("crumb")["due"].map { |due| due["reminder_min"] }).to eq([1, 1, 10, 10])
    end
  end

  it "tells of a remoulded ball only whether it disperses" do
    ball = { "remoulded" => true }
    clear = one("crumb", ball, { "minutes" => 120, "slaking" => "fully", "dispersion" => "none" })
    expect(clear).to include("said" => "remoulded, clear so far", "figures" => { "remoulded_disperses" => false })
    milky = one("crumb", ball, { "minutes" => 120, "slaking" => "fully", "dispersion" => "some" })
    expect(milky).to include("said" => "remoulded, it disperses", "done" => true)
  end

  describe "a jar" do
    let(:setup) { { "water_mm" => 100, "temperature_c" => 20, "dispersant" => true } }
    let(:layers) { [{ "minutes" => 0.75, "sand_mm" => 20 }, { "minutes" => 460, "silt_mm" => 20 }] }

    it "is read when sand, silt and clay have settled" do
      # [published: Stokes; handbook tables: 10 cm at 20 °C, 50 µm about 45 s, 2 µm about 7.8 h]
      sand, silt, *clay = due("jar", setup).map(&:first)
      expect([sand * 60, silt / 60]).to match([be_within(1).of(45), be_within(0.1).of(7.75)])
      expect(clay).to eq([1440, 2880])
    end

    it "asks for no look before anybody said how high the water stands" do
      expect(one("jar")).to include("due" => [], "advice" => a_string_including("how high the water stands"))
    end

    it "stands beside the hand without being averaged into it" do
      hand = { "name" => "Clay loam", "sand" => 32.0, "silt" => 34.0, "clay" => 34.0 }
      found = one("jar", setup, *layers, { "minutes" => 2880, "clay_mm" => 10 }, hand: hand)
      expect(found["figures"]).to include("sand" => 40.0, "silt" => 40.0, "clay" => 20.0)
      expect(found["beside"]).to eq("By height loam; the hand clay loam. Apart: the jar has clay less by 14 points. " \
                                    "Neither is averaged into the other.")
    end

    it "tells only sand to silt while the water is cloudy" do
      found = one("jar", setup, *layers, { "minutes" => 2880, "clay_mm" => 5, "cloudy" => true })
      expect(found["said"]).to eq("sand to silt 50 : 50; clay not settled")
    end

    it "is void once it was moved" do
      expect(one("jar", setup, *layers, { "moved" => true })).to include("void" => true)
    end
  end

  describe "a percolation hole" do
    # [from memory: US Public Health Service 1967; 30 min from 150 mm, or 10 min where it is gone within 30]
    it "is steady once three drops agree" do
      found = one("percolation", *levels([30, 110], [60, 124.6], [90, 124.6], [120, 124.6], soak: "sand"))
      expect(found).to include("done" => true, "said" => "51 mm/h, 12 min/cm",
                               "advice" => a_string_starting_with("Three"))
    end

    it "asks for the next level half an hour after the last one" do
      expect(due("percolation", *levels([31, 110], soak: "sand"))).to eq([[30, "done"], [61, "open"]])
    end

    it "asks for ten minutes once it was gone within thirty" do
      expect(due("percolation", *levels([30, 0], [40, 60], soak: "sand")).last).to eq([50, "open"])
    end

    it "soaks first, and longer does no harm" do
      soaked = [{ "soak" => "four_hours" }, { "minutes" => 300, "refilled" => true }]
      expect(due("percolation", *soaked)).to eq([[240, "done"], [330, "open"]])
    end

    it "says at least, where the water had gone before anybody looked" do
      expect(one("percolation", *levels([30, 0], soak: "sand"))["said"]).to start_with("at least 300 mm/h")
    end

    it "works out the soil's own conductivity where no gravel fills the hole" do
      # [from memory: Kessler & Oosterbaan 1974; radius 5 cm, 30 to 24 cm in 30 min: 10.2 mm/h]
      found = one("percolation", *levels([30, 240], soak: "sand", from_mm: 300, radius_mm: 50, gravel: false))
      expect(found["figures"]["ksat_mm_h"]).to be_within(0.05).of(10.2)
    end

    context "with other holes" do
      def holes(*rates, layers: ["Bt"] * rates.size)
        run("percolation", *rates.zip(layers).map do |rate, layer|
          { "layer" => layer, "looks" => levels([30, 150 - (rate / 2.0)], soak: "sand") }
        end)["together"]
      end

      it("tells the mean and the slowest") do
        expect(holes(40, 50, 60)).to eq(["Mean of 3 holes 50 mm/h.", "The slowest takes 40 mm/h."])
      end

      it("tells no mean where they lie too far apart") do
        expect(holes(20, 50, 101)).to include("No mean: the fastest is over 5 times the slowest.")
      end

      it("wants three") { expect(holes(40, 50)).to include("3 holes or more tell a site; 2 were read.") }

      it("sets holes to different layers side by side over the same time") do
        expect(holes(40, 50, 60, layers: %w[E Bt Bt]).join).to include("After 30 min: E 20 mm, Bt 25 mm, Bt 30 mm.")
      end
    end

    %w[water_before frozen rain caved muddy burrow].each do |word|
      it("is void: #{word}") { expect(one("percolation", *levels([30, 100], word => true))).to include("void" => true) }
    end
  end

  describe "series" do
    def depths(test, *values)
      run(test, *values.each_with_index.map do |value, at|
        { "name" => "#{(at + 1) * 20} cm", "depth_cm" => (at + 1) * 20, "looks" => [value].flatten }
      end)["together"]
    end

    it "of pH names changes of one and more" do
      # [common practice]
      expect(depths("ph", { "value" => 5 }, { "value" => 5.5 }, { "value" => 7 }))
        .to eq(["pH rises by 1.5 from 40 cm to 60 cm."])
    end

    it "of effervescence names the first depth" do
      values = %w[none none strong].map { |word| { "effervescence" => word } }
      expect(depths("fizz", *values)).to eq(["Effervescence from 60 cm down."])
    end

    it "of the probe finds a pan by the middle of its pushes" do
      # [from memory: Taylor et al. 1966; free under 1 MPa, stopped over 2; what a pan is: our own]
      values = [[0.8, 0.9, 0.7], [2.6, 2.4, 9], [1.2, 1.3, 1.1]].map { |all| all.map { |mpa| { "mpa" => mpa } } }
      expect(depths("probe", *values)).to eq(["A pan at 40 cm: harder than 2 MPa, and softer below."])
    end

    it "does not count a push that hit a stone" do
      found = one("probe", { "mpa" => 1.0 }, { "mpa" => 5, "stone" => true })
      expect(found["figures"]).to include("median_mpa" => 1.0, "pushes" => 1)
    end
  end

  it "shrinks a rod" do
    # [from memory: Schafer & Singer 1976; 105 to 100 mm: 0.05, moderate]
    found = one("rod", { "wet_mm" => 105 }, { "minutes" => 2880, "dry_mm" => 100 })
    expect(found).to include("said" => "shrinks by 5 % of its dry length: moderate", "done" => true)
  end

  it "tells when the front of a column enters the next layer" do
    looks = [[1, 20], [2, 35], [5, 60], [10, 80]].map { |minutes, mm| { "minutes" => minutes, "front_mm" => mm } }
    expect(one("columns", { "boundary_mm" => 70 }, *looks)["figures"]["entered_min"]).to eq(7.5)
  end

  it "has fields, steps and cautions that are there, for every test" do
    Grittle::Companions::TESTS.each_value do |test|
      expect(test.fields.keys).to include(*test.setup, *test.look, *test.further, *test.spoils)
      expect(test.cautions - Grittle::Tests::CAUTIONS.keys).to be_empty
    end
  end
end
