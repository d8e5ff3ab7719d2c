# frozen_string_literal: true

module Grittle
  module Entry
    # What a GPS receiver says, sentence by sentence. Only fixes (GGA) are read; a sentence whose checksum does not fit
    # is refused. [from memory: NMEA 0183]
    module Nmea
      # decimal degrees, decimal degrees, m above the sea
      Fix = Struct.new(:latitude, :longitude, :elevation_m)

      # m on the ground in one degree of latitude. [published: 40 007.863 km around the poles, WGS84, by 360]
      METRES_PER_DEGREE = 40_007_863.0 / 360
      SENTENCE = /\A\$(?<body>[^*]+)\*(?<sum>\h{2})\s*\z/

      # A sentence that was damaged on its way.
      class Damaged < Error; end

      module_function

      # @param line [String]
      # @return [Fix, nil] nil for other sentences, and while there is no fix
      # @raise [Damaged]
      def fix(line)
        found = SENTENCE.match(line) || raise(Damaged, "“#{line.strip[0, 80]}” is no whole sentence.")
        unless checksum(found[:body]) == found[:sum].upcase
          raise Damaged,
                "The checksum of “#{line.strip[0, 80]}” does not fit."
        end

        parts = found[:body].split(",", -1)
        return unless parts.first.end_with?("GGA") && parts[6].to_i.positive?

        Fix.new(degrees(parts[2], parts[3]), degrees(parts[4], parts[5]), parts[9].to_s.empty? ? nil : parts[9].to_f)
      end

      # @return [String] two hexadecimal digits
      def checksum(body) = format("%02X", body.each_byte.reduce(0) { |sum, byte| sum ^ byte })

      # The mean of the fixes, and how far they lie from it: root mean square, in m.
      # @param lines [Array<String>]
      # @return [Hash] position, spread_m, elevation_m, fixes, refused
      # @raise [InvalidInput] without a fix
      def average(lines)
        refused = 0
        fixes = lines.filter_map do |line|
          fix(line)
        rescue Damaged
          refused += 1
          nil
        end
        if fixes.empty?
          raise InvalidInput,
                [Problem.new(pointer: "/position", sentence: "The receiver has no fix yet.")]
        end

        {
          position: mean(fixes),
          spread_m: spread(fixes).round(1),
          elevation_m: elevation(fixes),
          fixes: fixes.size,
          refused: refused
        }
      end

      # "4812.5000", "N": degrees stand before the last two digits of the minutes.
      def degrees(text, letter)
        whole = text.to_f.to_i.div(100)
        size = whole + ((text.to_f - (whole * 100)) / 60)
        %w[S W].include?(letter) ? -size : size
      end

      def mean(fixes)
        east = longitudes(fixes).sum / fixes.size.to_f
        Position.new(fixes.sum(&:latitude) / fixes.size, ((east + 180) % 360) - 180)
      end

      # Beyond 180 degrees the count begins anew: all are counted on from the first.
      def longitudes(fixes)
        first = fixes.first.longitude
        fixes.map { |fix| fix.longitude - (360 * ((fix.longitude - first) / 360.0).round) }
      end

      def spread(fixes)
        north = deviations(fixes.map(&:latitude))
        east = deviations(longitudes(fixes)).map { |degrees| degrees * Math.cos(fixes.first.latitude * Math::PI / 180) }
        Math.sqrt(north.zip(east).sum { |n, e| (n**2) + (e**2) } / fixes.size) * METRES_PER_DEGREE
      end

      def deviations(values)
        mean = values.sum / values.size.to_f
        values.map { |value| value - mean }
      end

      def elevation(fixes)
        heights = fixes.filter_map(&:elevation_m)
        heights.empty? ? nil : (heights.sum / heights.size).round(1)
      end
      private_class_method :degrees, :mean, :longitudes, :spread, :deviations, :elevation
    end
  end
end
