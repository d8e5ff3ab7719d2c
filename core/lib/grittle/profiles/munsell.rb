# frozen_string_literal: true

module Grittle
  module Profiles
    # A soil colour in Munsell notation, such as "10YR 4/3" or "N 5/": hue, value and chroma. Frozen.
    #
    # The colour chip is computed, not looked up: lightness from the value by the published polynomial, hue angle and
    # saturation in CIELAB between the ten principal hues by the table below. It shows about which colour is meant; a
    # screen is no colour book.
    class Munsell
      # Principal hues on the circle of 100, by letters: where "5" of each stands.
      CIRCLE = {
        "R" => 5,
        "YR" => 15,
        "Y" => 25,
        "GY" => 35,
        "G" => 45,
        "BG" => 55,
        "B" => 65,
        "PB" => 75,
        "P" => 85,
        "RP" => 95
      }.freeze
      # Place on that circle => angle in CIELAB (degrees), and units of CIELAB chroma for one of Munsell chroma at the
      # values of soils. [from memory, read off renotation charts; good to a few units]
      CIELAB = [
        [-5, -12, 4.8],
        [5, 26, 5.0],
        [10, 40, 5.3],
        [15, 58, 5.9],
        [20, 77, 6.3],
        [25, 94, 6.8],
        [35, 118, 6.3],
        [45, 160, 4.8],
        [55, 194, 4.4],
        [65, 234, 4.4],
        [75, 278, 4.7],
        [85, 313, 4.8],
        [95, 348, 4.8],
        [105, 386, 5.0]
      ].freeze
      NOTATION = %r{\A(\d+(?:\.\d+)?)(YR|GY|BG|PB|RP|R|Y|G|B|P)(\d+(?:\.\d+)?)/(\d+(?:\.\d+)?)\z}
      NEUTRAL = %r{\AN(\d+(?:\.\d+)?)/?0?\z}
      HOW = "Write hue, value and chroma, such as 10YR 4/3, or N 5/."
      VALUES = (0..10)
      CHROMAS = (0..20)
      # A matrix or mottle this pale and this grey may tell of seasonal wetness.
      WET_VALUE = Data::PROFILE["wet_value"]
      WET_CHROMA = Data::PROFILE["wet_chroma"]
      # Places on the circle of hues from 10Y to 5PB, where grey is green and blue.
      GLEY = (30..75)

      # Hues, values and chromas that colour books for soils have, so far as a chip is drawn here to be picked. Between
      # them a colour is typed. [common practice]
      BOOK = {
        hues: %w[10R 2.5YR 5YR 7.5YR 10YR 2.5Y 5Y 10Y 5GY 5G 5BG 5B N], values: [8, 7, 6, 5, 4, 3, 2],
        chromas: [1, 2, 3, 4, 6, 8]
      }.freeze

      # @return [Array<Hash>] "hue", and "chips" value by value, each with its notation and its computed colour
      def self.pages
        BOOK[:hues].map do |hue|
          { "hue" => hue, "chips" => BOOK[:values].map { |value| chips(hue, value) } }
        end
      end

      def self.chips(hue, value)
        notations = hue == "N" ? ["N #{value}/"] : BOOK[:chromas].map { |chroma| "#{hue} #{value}/#{chroma}" }
        notations.map { |text| { "notation" => text, "chip" => new(text).hex } }
      end
      private_class_method :chips

      attr_reader :hue, :letters, :value, :chroma

      # @param text [String] blanks and case do not matter, a decimal comma is read as a point
      # @param field [String] the field it was typed into
      # @raise [InvalidInput] with a sentence that says what is wrong
      def initialize(text, field: "colour")
        @field = field
        plain = text.to_s.upcase.tr(",", ".").delete(" \u00A0")
        if (neutral = NEUTRAL.match(plain))
          @letters = "N"
          @value = neutral[1].to_f
          @chroma = 0.0
        else
          found = NOTATION.match(plain) || refuse("“#{text}” is no Munsell notation. #{HOW}")
          @hue, @value, @chroma = [found[1], found[3], found[4]].map(&:to_f)
          @letters = found[2]
        end
        check
        freeze
      end

      # @return [String] as it is usually written
      def to_s
        return "N #{plain(value)}/" if letters == "N"

        "#{plain(hue)}#{letters} #{plain(value)}/#{plain(chroma)}"
      end

      # @return [Boolean] pale and grey enough to speak of wetness
      def wet? = value >= WET_VALUE && chroma <= WET_CHROMA

      # @return [Boolean] grey, or green or blue and grey, as long wetness makes it
      def gley? = wet? && (letters == "N" || GLEY.cover?(place))

      # @return [String] the chip as "#rrggbb" in sRGB
      def hex = format("#%02x%02x%02x", *rgb)

      # @return [Array<Integer>] red, green and blue, 0-255
      def rgb
        light = lightness
        angle, each = bearing
        turn = angle * Math::PI / 180
        srgb(*xyz(light, each * chroma * Math.cos(turn), each * chroma * Math.sin(turn)))
      end

      private

      def check
        refuse("A hue goes from 0 to 10 #{letters}, not #{plain(hue)}.") unless hue.nil? || (hue.positive? && hue <= 10)
        refuse("A Munsell value goes from 0 to 10, not #{plain(value)}.") unless VALUES.cover?(value)
        refuse("A Munsell chroma goes from 0 to 20, not #{plain(chroma)}.") unless CHROMAS.cover?(chroma)
      end

      def refuse(sentence) = raise(InvalidInput, [Problem.new(pointer: "/#{@field}", sentence: sentence)])
      def plain(number) = number.to_f.round(1).to_s.delete_suffix(".0")

      # Luminous reflectance (percent) of a Munsell value. [published: ASTM D1535]
      def reflectance
        (1.1914 * value) - (0.22533 * (value**2)) + (0.23352 * (value**3)) - (0.020484 * (value**4)) +
          (0.00081939 * (value**5))
      end

      # CIE L*. [published: CIE 1976]
      def lightness
        share = reflectance / 100
        share > 216.0 / 24_389 ? (116 * Math.cbrt(share)) - 16 : share * 24_389 / 27
      end

      # On the circle of 100 hues.
      def place = CIRCLE[letters] - 5 + hue

      # @return [Array<Float>] the angle in CIELAB and the units of chroma, straight between the hues of the table
      def bearing
        return [0.0, 0.0] if letters == "N"

        (p0, a0, c0), (p1, a1, c1) = CIELAB.each_cons(2).find { |_, (upper, _, _)| place <= upper }
        share = (place - p0) / (p1 - p0).to_f
        [a0 + (share * (a1 - a0)), c0 + (share * (c1 - c0))]
      end

      # CIELAB to XYZ for the white of sRGB. [published: CIE 1976; IEC 61966-2-1]
      def xyz(light, red_green, yellow_blue)
        y = (light + 16) / 116
        [y + (red_green / 500), y, y - (yellow_blue / 200)].zip([0.95047, 1.0, 1.08883]).map do |root, white|
          white * (root**3 > 216.0 / 24_389 ? root**3 : ((116 * root) - 16) * 27 / 24_389)
        end
      end

      # Colours that a screen cannot show are brought to its edge. [published: IEC 61966-2-1]
      def srgb(x, y, z)
        [(3.2406 * x) - (1.5372 * y) - (0.4986 * z), (-0.9689 * x) + (1.8758 * y) + (0.0415 * z),
         (0.0557 * x) - (0.2040 * y) + (1.0570 * z)].map do |linear|
          linear = linear.clamp(0.0, 1.0)
          (255 * (linear <= 0.0031308 ? 12.92 * linear : (1.055 * (linear**(1 / 2.4))) - 0.055)).round
        end
      end
    end
  end
end
