# frozen_string_literal: true

require_relative "gems"

# An address as a code that a phone's camera reads, in the terminal.
module Qr
  SCRIPT = 'require "rqrcode"; puts RQRCode::QRCode.new(ARGV.first, level: :l).as_ansi(quiet_zone_size: 2)'

  # Where the output is no terminal, nothing.
  # @param text [String]
  def self.show(text)
    return unless $stdout.tty?

    system(Gems.env, "ruby", "-rbundler/setup", "-e", SCRIPT, text)
  end
end
