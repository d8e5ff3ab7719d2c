# frozen_string_literal: true

module Grittle
  module Profiles
    # What a companion test showed on a sample at one look: pH by kit, a drop of acid, a crumb in still water. Looks are
    # kept one by one with their times; the newest of each part stands.
    module Findings
      # The step of a colour card where nothing else is said of it. [common practice]
      KIT_STEP = 0.5
      WATERS = { "rain" => "Rain water", "distilled" => "Distilled water", "tap" => "Tap water" }.freeze

      def self.table(*fields) = fields.to_h { |field| [field.name, field] }.freeze
      private_class_method :table

      PH =
        table(
          Entry::Field.new("value", "pH", :number, range: Ph::RANGE),
          Entry::Field.new("upper", "Up to", :number, range: Ph::RANGE,
                                                      hint: "Where the colour lies between two of the card"),
          Entry::Field.new("method", "Read by", :choice, words: Entry::Fields::PH_METHODS),
          Entry::Field.new("step", "Step of the card", :choice, words: Entry::Fields::PH_STEPS)
        )
      FIZZ =
        table(
          Entry::Field.new(
            "effervescence",
            "Effervescence",
            :choice,
            words: Entry::Fields::HORIZON["effervescence"].words
          ),
          Entry::Field.new("specks", "On pale specks", :flag)
        )
      CRUMB = table(
        Entry::Field.new("slaking", "Slaking", :choice, words: Entry::Fields::SLAKING),
        Entry::Field.new("swells", "Swells", :flag),
        Entry::Field.new("dispersion", "Dispersion", :choice, words: Entry::Fields::DISPERSION),
        Entry::Field.new("remoulded_disperses", "Remoulded, it disperses", :flag),
        Entry::Field.new("carbonate_or_gypsum", "Carbonate or gypsum", :flag),
        Entry::Field.new("suspension", "Shaken 1 to 5", :choice,
                         words: { "disperses" => "Disperses", "flocculates" => "Flocculates" }.freeze),
        Entry::Field.new("minutes", "Looked at after", :number, range: 0..2880, unit: "min"),
        Entry::Field.new("water", "Water", :choice, words: WATERS),
        Entry::Field.new("size_mm", "Crumb", :number, range: 1..50, unit: "mm"),
        Entry::Field.new("air_dry", "Air-dry", :flag),
        Entry::Field.new("poured_on", "Water was poured on it", :flag)
      )
      # Further parts on a sheet of many places. [common practice]
      KIT = table(
        Entry::Field.new("kit_minutes", "Card read after", :number, range: 0.5..60, unit: "min",
hint: "What the kit says"),
        Companions::Fields::MINUTES,
        Entry::Field.new("colours_drop", "The soil colours the drop", :flag),
        Entry::Field.new("off_card", "Off the card", :flag),
        Entry::Field.new("old_kit", "Old reagent", :flag)
      )
      ACID = table(
        Companions::Fields::MINUTES,
        Entry::Field.new("acid_tried", "Acid tried on lime", :flag),
        Entry::Field.new("only_crushed", "Only once crushed", :flag)
      )
      # test => its name, how it is done [common practice], the caution at its step, and its parts; the first part is
      # needed
      TESTS = {
        "ph" => { name: "pH", caution: "reagent", fields: PH,
                  how: "Wet a crumb on the plate with the drops, dust it, and read the card after its time." },
        "fizz" => { name: "Effervescence (HCl)", caution: "acid", fields: FIZZ,
                    how: "One drop on a crumb, and one on pale specks: look and listen." },
        "crumb" => {
          name: "Crumb in still water",
          caution: nil,
          fields: CRUMB,
          how:
            "Lay an air-dry crumb of 5 to 10 mm into still rain or distilled water, never poured on; look at 5 min, " \
            "10 min, 2 h and 20 h."
        }
      }.each_value(&:freeze).freeze
      BALL = table(Entry::Field.new("remoulded", "A remoulded ball of 5 mm", :flag))
      # Tests that are made on a sheet alone, and what they and the others write down there.
      ON_SHEETS = {
        "ph" => PH.merge(KIT).freeze, "fizz" => FIZZ.merge(ACID).freeze, "crumb" => CRUMB.merge(BALL).freeze,
        "jar" => Companions::Fields::JAR, "percolation" => Companions::Fields::PERCOLATION,
        "probe" => Companions::Fields::PROBE, "rod" => Companions::Fields::ROD, "columns" => Companions::Fields::COLUMNS
      }.freeze
      # Parts that are the same for all samples tested at one time.
      SHARED = %w[method step minutes water size_mm air_dry].freeze
      CRUMB_FACTS = %w[water air_dry swells remoulded_disperses carbonate_or_gypsum suspension poured_on].freeze

      module_function

      # @param test [String] one of TESTS
      # @param input [Hash{String=>Object}] parts as typed
      # @param whole [Boolean] whether it is a finding by itself; a sheet is filled in part by part
      # @return [Hash{String=>Object}] as kept, blanks left out
      # @raise [InvalidInput, UnknownName]
      def read(test, input, whole: true)
        known = fields(test)
        unknown = input.keys - known.keys
        refuse(unknown.first, "#{title(test)} has no “#{unknown.first}”.") unless unknown.empty?
        kept = input.to_h { |name, value| [name, known[name].read(value)] }.compact
        refuse(known.keys.first, "Write what was seen.") if kept.empty?
        check(test, known.values.first, kept, whole: whole)
        kept
      end

      # @return [Hash{String=>Entry::Field}] everything that may be written down at a test
      # @raise [UnknownName]
      def fields(test) = ON_SHEETS[test] || raise(UnknownName.new("test", test, ON_SHEETS.keys))

      # @return [String]
      def title(test) = TESTS.key?(test) ? TESTS[test][:name] : Companions::TESTS.fetch(test).title

      # @param test [String]
      # @param looks [Array<Hash>] oldest first
      # @return [Hash{String=>Object}] what stands; a colour that was read anew lies between none
      def standing(looks)
        looks.reduce({}) { |sum, look| (look.key?("value") ? sum.except("upper") : sum).merge(look) }
      end

      # @param looks [Array<Hash>] oldest first
      # @return [String] for a person
      def say(test, looks)
        seen = standing(looks)
        case test
        when "ph" then say_ph(seen)
        when "fizz" then say_fizz(seen)
        when "crumb" then seen["remoulded"] ? Companions::Crumb.new(looks).said : crumb(looks).sentence
        else "#{title(test).downcase}: #{Companions::TESTS.fetch(test).place_class.new(looks).said}"
        end
      end

      # @param looks [Array<Hash>] oldest first
      # @return [CrumbTest]
      def crumb(looks)
        CrumbTest.new(looks.map { |look| look.values_at("minutes", "slaking", "dispersion") },
                      **standing(looks).slice(*CRUMB_FACTS).transform_keys(&:to_sym))
      end

      # @param looks [Array<Hash>] oldest first
      # @return [String, nil] what to do or look at next
      def advise(test, looks)
        return unless test == "crumb"

        standing(looks)["remoulded"] ? Companions::Crumb.new(looks).advice : crumb(looks).advice
      end

      def say_ph(seen)
        read = seen.values_at("value", "upper").compact
        return "pH not read yet" if read.empty?

        classes = read.map { |value| Ph.class_of(value) }.uniq
        "pH #{read.map { |value| Units.number(value) }.join(' to ')}, #{classes.join(' to ')}"
      end

      def say_fizz(seen)
        return "effervescence not tried yet" unless seen["effervescence"]

        word = Entry::Fields::HORIZON["effervescence"].say(seen["effervescence"]).downcase
        return "no effervescence#{', though on pale specks: it may be white clay' if seen['specks']}" if word == "none"

        "#{word} effervescence#{' on pale specks' if seen['specks']}"
      end

      def check(test, first, kept, whole:)
        refuse(first.name, "#{first.label} is needed.") if whole && TESTS.key?(test) && test != "crumb" &&
                                                           !kept.key?(first.name)
        check_ph(kept) if test == "ph" && kept.key?("value")
      end

      # A card is read at its own steps, or between two that follow each other.
      def check_ph(kept)
        low, high = kept.values_at("value", "upper")
        refuse("upper", "pH between #{Units.number(low)} and #{Units.number(high)}: write the lower one first.") \
          if high && high <= low
        return unless kept["method"] == "kit"

        step = (kept["step"] || KIT_STEP).to_f
        off = { "value" => low, "upper" => high }.compact.find { |_, value| between_steps?(value / step) }
        said = ->(number) { Units.plain(number.round(2)) }
        refuse(off.first, "A colour kit with steps of #{said[step]} is not read to #{said[off.last]}.") if off
        refuse("upper", "Between two colours of the card is between #{said[low]} and #{said[low + step]}.") \
          if high && (high - low - step).abs > 0.001
      end

      def between_steps?(steps) = (steps - steps.round).abs > 0.001

      def refuse(field, sentence) = raise(InvalidInput, [Problem.new(pointer: "/#{field}", sentence: sentence)])
      private_class_method :say_ph, :say_fizz, :check, :check_ph, :between_steps?, :refuse
    end
  end
end
