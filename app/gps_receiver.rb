# frozen_string_literal: true

require "socket"

# A GPS receiver that speaks NMEA 0183 on a port of this machine: GRITTLE_GPS, or where bin/gps-stand-in speaks.
class GpsReceiver
  ADDRESS = ENV.fetch("GRITTLE_GPS", "127.0.0.1:10110")
  # Fixes to average, and seconds to wait for them.
  FIXES = 10
  PATIENCE = 15

  # @return [Hash] latitude, longitude, text, accuracy_m (spread of the fixes), elevation_m, fixes, refused
  # @raise [Grittle::InvalidInput] when no receiver answers or it has no fix
  def position
    found = Grittle::Entry::Nmea.average(lines)
    place = found.delete(:position)
    {
      latitude: place.latitude,
      longitude: place.longitude,
      text: place.to_s,
      accuracy_m: found.delete(:spread_m),
      **found
    }
  end

  private

  def lines
    host, port = ADDRESS.split(":")
    Socket.tcp(host, port.to_i, connect_timeout: 2) { |receiver| read(receiver) }
  rescue SystemCallError
    raise Grittle::InvalidInput,
          [Grittle::Problem.new(pointer: "/position", sentence: "No GPS receiver answers at #{ADDRESS}.")]
  end

  def read(receiver)
    deadline = now + PATIENCE
    lines = []
    while fixes(lines) < FIXES && (left = deadline - now).positive? && receiver.wait_readable(left)
      line = receiver.gets or break
      lines << line.scrub
    end
    lines
  end

  def fixes(lines) = lines.count { |line| line.include?("GGA,") }
  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
end
