# frozen_string_literal: true

module Grittle
  module Entry
    # A place on the earth in WGS84, as people write it: decimal degrees or degrees, minutes and seconds, with signs or
    # letters, with a decimal point or comma. Frozen.
    class Position
      # Minutes and seconds only after a sign for degrees, so that two plain numbers are two coordinates.
      COORDINATE =
        /([-+]?\d+(?:\.\d+)?)\s*(?:[°º]\s*(?:(\d+(?:\.\d+)?)\s*['′’]?)?\s*(?:(\d+(?:\.\d+)?)\s*(?:"|″|”|'')?)?)?/
      SIGNS = { "N" => 1, "E" => 1, "S" => -1, "W" => -1 }.freeze
      HOW = "Write it such as 48.2082, 16.3738 or 48°12'30\"N 16°22'26\"E or 33U 602094 5340368."
      # Decimals kept of a degree: about 1 dm on the ground.
      DECIMALS = 6

      attr_reader :latitude, :longitude

      # @param latitude, longitude [Numeric] decimal degrees
      # @raise [InvalidInput]
      def initialize(latitude, longitude)
        refuse("A latitude goes from -90 to 90, not #{Spoken.of(latitude)}.") unless latitude.between?(-90, 90)
        refuse("A longitude goes from -180 to 180, not #{Spoken.of(longitude)}.") unless longitude.between?(-180, 180)
        @latitude, @longitude = [latitude, longitude].map { |degrees| degrees.to_f.round(DECIMALS) }
        freeze
      end

      # @param text [String]
      # @return [Position]
      # @raise [InvalidInput]
      def self.parse(text)
        grid = Utm.parse(text)
        return new(*grid) if grid

        found = coordinates(plain(text))
        refuse("“#{text}” is no position. #{HOW}") unless found
        found = found.reverse if found.first.last == :longitude
        axes = found.map(&:last)
        refuse("“#{text}” has two #{axes.first}s. #{HOW}") if axes.all? && axes.uniq.size == 1
        new(*found.map(&:first))
      end

      def self.refuse(sentence) = raise(InvalidInput, [Problem.new(pointer: "/position", sentence: sentence)])

      # Two decimal commas are decimals, one alone parts the two numbers, unless signs for degrees part them.
      def self.plain(text)
        text = text.to_s.upcase.tr(";", " ")
        if !text.include?(".") && (text.match?(/[°º]/) || text.scan(/\d,\d/).size >= 2)
          text =
            text.gsub(
              /(\d),(\d)/,
              '\1.\2'
            )
        end
        text.tr(",", " ").strip
      end

      # @return [Array, nil] two pairs of degrees and axis
      def self.coordinates(text)
        letters_first = text.match?(/\A[NSEW]/)
        one = letters_first ? /([NSEW])\s*#{COORDINATE}/ : /#{COORDINATE}\s*([NSEW])?/
        return unless text.gsub(one, "").strip.empty?

        found = text.scan(one).map { |parts| letters_first ? parts.rotate : parts }
        found.map { |parts| [degrees(*parts), axis(parts.last)] } if found.size == 2
      end

      def self.axis(letter) = { "N" => :latitude, "S" => :latitude, "E" => :longitude, "W" => :longitude }[letter]

      def self.degrees(whole, minutes, seconds, letter)
        [minutes, seconds].compact.each do |part|
          refuse("Minutes and seconds go up to 60, not #{part}.") if part.to_f >= 60
        end
        size = whole.to_f.abs + (minutes.to_f / 60) + (seconds.to_f / 3600)
        size * (whole.start_with?("-") ? -1 : 1) * SIGNS.fetch(letter, 1)
      end
      private_class_method :refuse, :plain, :coordinates, :axis, :degrees

      # @return [String, nil] as a grid reference, to the metre; nil near the poles
      def utm = Utm.say(latitude, longitude)

      # @return [String] in degrees, minutes and seconds
      def to_s = [say(latitude, "N", "S"), say(longitude, "E", "W")].join(" ")

      private

      def say(degrees, positive, negative)
        tenths = (degrees.abs * 36_000).round
        format(
          "%d°%02d'%04.1f\"%s",
          tenths.div(36_000),
          tenths.div(600) % 60,
          tenths % 600 / 10.0,
          degrees.negative? ? negative : positive
        )
      end

      def refuse(sentence) = raise(InvalidInput, [Problem.new(pointer: "/position", sentence: sentence)])
    end
  end
end
