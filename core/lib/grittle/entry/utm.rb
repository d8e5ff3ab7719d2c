# frozen_string_literal: true

module Grittle
  module Entry
    # Grid references of the Universal Transverse Mercator projection, such as "33U 601234 5340123": zone, band of
    # latitude, easting and northing in metres. Krüger's series to the fourth power of the third flattening, good to a
    # millimetre within a zone. [published: Krüger 1912; Karney 2011, Journal of Geodesy 85:475-485; zones and bands:
    # DMA Technical Manual 8358.2, 1989; series coefficients from memory, checked against Snyder's example]
    class Utm
      # An ellipsoid by its equatorial radius in m and 1/flattening.
      Ellipsoid = Struct.new(:radius, :inverse)
      # [published: NIMA TR8350.2, 2000]
      WGS84 = Ellipsoid.new(6_378_137.0, 298.257223563).freeze
      SCALE = 0.9996
      FALSE_EASTING = 500_000.0
      FALSE_NORTHING = 10_000_000.0
      # Degrees of latitude between which the grid is used.
      LATITUDES = (-80..84)
      BANDS = "CDEFGHJKLMNPQRSTUVWX"
      # Zones that are wider or narrower than six degrees, by band: the longitudes and the zone.
      ODD_ZONES = {
        "V" => [[3...12, 32]],
        "X" => [[0...9, 31], [9...21, 33], [21...33, 35], [33...42, 37]]
      }.freeze
      WRITTEN = /\A(\d{1,2})\s*([C-HJ-NP-X])[\s,]+(\d{6}(?:\.\d+)?)\s*(?:M?E)?[\s,]+(\d{1,8}(?:\.\d+)?)\s*(?:M?N)?\z/
      # One rectifying series of the third flattening n: forward and back.
      FORWARD = [
        [1 / 2.0, -2 / 3.0, 5 / 16.0, 41 / 180.0],
        [13 / 48.0, -3 / 5.0, 557 / 1440.0],
        [61 / 240.0, -103 / 140.0],
        [49_561 / 161_280.0]
      ].freeze
      BACK = [
        [1 / 2.0, -2 / 3.0, 37 / 96.0, -1 / 360.0],
        [1 / 48.0, 1 / 15.0, -437 / 1440.0],
        [17 / 480.0, -37 / 840.0],
        [4397 / 161_280.0]
      ].freeze

      class << self
        # @param text [String]
        # @return [Array(Float, Float), nil] latitude and longitude in degrees, WGS84; nil for no grid reference
        def parse(text)
          zone, band, easting, northing = text.to_s.upcase.strip.match(WRITTEN)&.captures
          return unless zone&.to_i&.between?(1, 60)

          new.to_degrees(easting.to_f, northing.to_f, zone: zone.to_i, south: band < "N")
        end

        # @param latitude, longitude [Numeric] degrees, WGS84
        # @return [String, nil] to the metre; nil where the grid is not used
        def say(latitude, longitude)
          return unless LATITUDES.cover?(latitude)

          band = BANDS[[((latitude + 80) / 8).floor, BANDS.size - 1].min]
          zone = zone_of(band, longitude)
          easting, northing = new.to_metres(latitude, longitude, zone: zone)
          format("%d%s %06d %07d", zone, band, easting.round, northing.round)
        end

        # @return [Float] degrees: the meridian in the middle of a zone
        def meridian(zone) = (zone * 6) - 183.0

        private

        def zone_of(band, longitude)
          odd = ODD_ZONES.fetch(band, []).find { |range, _| range.cover?(longitude) }
          odd ? odd.last : [((longitude + 180) / 6).floor, 59].min + 1
        end
      end

      # @param ellipsoid [Ellipsoid]
      def initialize(ellipsoid = WGS84)
        flattening = 1 / ellipsoid.inverse
        @n = flattening / (2 - flattening)
        @eccentricity = Math.sqrt(flattening * (2 - flattening))
        @a = ellipsoid.radius / (1 + @n) * (1 + ((@n**2) / 4) + ((@n**4) / 64))
        @forward, @back = [FORWARD, BACK].map { |series| series.each_with_index.map { |row, at| power(row, at + 1) } }
        freeze
      end

      # @return [Array(Float, Float)] easting and northing in m
      def to_metres(latitude, longitude, zone:)
        phi = radians(latitude)
        lambda = radians(longitude - Utm.meridian(zone))
        sine = Math.sin(phi)
        t = Math.sinh(Math.atanh(sine) - (@eccentricity * Math.atanh(@eccentricity * sine)))
        xi = Math.atan2(t, Math.cos(lambda))
        eta = Math.asinh(Math.sin(lambda) / Math.hypot(t, Math.cos(lambda)))
        north, east = series(@forward, xi, eta, 1)
        [FALSE_EASTING + (SCALE * @a * east), (SCALE * @a * north) + (latitude.negative? ? FALSE_NORTHING : 0)]
      end

      # @return [Array(Float, Float)] latitude and longitude in degrees
      def to_degrees(easting, northing, zone:, south:)
        xi = (northing - (south ? FALSE_NORTHING : 0)) / (SCALE * @a)
        eta = (easting - FALSE_EASTING) / (SCALE * @a)
        xi, eta = series(@back, xi, eta, -1)
        conformal = Math.asin(Math.sin(xi) / Math.cosh(eta))
        [degrees(geographic(conformal)), degrees(Math.atan2(Math.sinh(eta), Math.cos(xi))) + Utm.meridian(zone)]
      end

      private

      def power(row, from) = row.each_with_index.sum { |factor, at| factor.to_f * (@n**(from + at)) }

      def series(factors, across, along, sign)
        parts = factors.each_with_index.map do |factor, at|
          twice = 2 * (at + 1)
          [factor * Math.sin(twice * across) * Math.cosh(twice * along),
           factor * Math.cos(twice * across) * Math.sinh(twice * along)]
        end
        [across + (sign * parts.sum(&:first)), along + (sign * parts.sum(&:last))]
      end

      # From the conformal latitude, by turns that each come about a hundred times nearer.
      def geographic(conformal)
        tau = Math.asinh(Math.tan(conformal))
        5.times.reduce(conformal) do |phi, _|
          Math.atan(Math.sinh(tau + (@eccentricity * Math.atanh(@eccentricity * Math.sin(phi)))))
        end
      end

      def radians(degrees) = degrees * Math::PI / 180
      def degrees(radians) = radians * 180 / Math::PI
    end
  end
end
