# frozen_string_literal: true

module Demo
  # Companion tests of the demo, made by their clocks and ended: percolation in three holes, crumbs from three depths, a
  # jar and a rod. What was seen is invented.
  class CompanionSheets
    # mm that each hole lost in every half hour.
    DROPS = [[31, 27, 25, 24, 24], [38, 33, 31, 30, 30], [27, 22, 21, 20, 20]].freeze
    HOLES = { radius_mm: 75, soak: "sand", gravel: true, temperature_c: 13 }.freeze
    # Looks as minutes => what was seen.
    CRUMBS = [
      { 5 => %w[a_little none], 10 => %w[a_little none], 121 => %w[a_little none], 1195 => %w[fully none] },
      { 6 => %w[fully none], 11 => %w[fully none], 122 => %w[fully none], 1196 => %w[fully none] },
      { 7 => %w[fully none], 12 => %w[fully some], 123 => %w[fully some], 1197 => %w[fully some] }
    ].freeze
    JAR = { 0.9 => { sand_mm: 13 }, 585 => { silt_mm: 14 }, 1450 => { clay_mm: 24 }, 2890 => { clay_mm: 22 } }.freeze

    # @param profile [Profile]
    # @param clock [Clock]
    def self.load(profile, clock)
      clock.next_morning
      new(profile, clock).load
    end

    def initialize(profile, clock)
      @profile = profile
      @clock = clock
    end

    def load
      holes
      crumbs
      jar
      rod
    end

    private

    def holes
      places = DROPS.each_index.map { |at| { label: "Hole #{at + 1}", upper_cm: 60 } }
      sheet("percolation", places, HOLES) do |place, at|
        look(place, at * 2, refilled: true)
        DROPS[at].each.with_index(1) do |mm, reading|
          look(place, (at * 2) + (reading * 30), water_mm: 150 - mm, refilled: true)
        end
      end
    end

    def crumbs
      depths = [10, 25, 50].map { |cm| { upper_cm: cm } }
      sheet("crumb", depths, { water: "rain", air_dry: true, size_mm: 8 }) do |place, at|
        CRUMBS[at].each { |minutes, (slakes, milky)| look(place, minutes, slaking: slakes, dispersion: milky) }
      end
    end

    def jar
      setup = { water_mm: 120, temperature_c: 18, dispersant: true }
      sheet("jar", [{ label: "Jar 1", upper_cm: 55 }], setup) do |place|
        JAR.each { |minutes, seen| look(place, minutes, **seen) }
      end
    end

    def rod
      sheet("rod", [{ label: "Rod 1", upper_cm: 55 }], { wet_mm: 102 }) { |place| look(place, 2900, dry_mm: 95) }
    end

    # Its clocks begin now, and it is over once everything was looked at.
    def sheet(test, places, setup)
      made = CompanionTest.make(Fieldbook.current, test: test, places: places, setup: setup,
owner: { profile: @profile })
      made.places.each_with_index do |place, at|
        place.begin(Time.now.utc)
        yield place, at
      end
      @clock.at(made.places.flat_map(&:looks).map(&:seen_at).max) { made.change(nil, ended: true) }
    end

    def look(place, minutes, **seen) = @clock.at(place.started_at + (minutes * 60)) { place.write(seen) }
  end
end
