# frozen_string_literal: true

# Identifiers of records, made where the record is made: UUIDs of version 7. All that one write makes is numbered from
# the write's own, so that a device and the server call it alike without telling each other.
module Uid
  NAME = /[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}/
  FORM = /\A#{NAME}\z/
  # Digits of the part that is counted up; a write makes fewer records than it can count.
  COUNTED = 12

  module_function

  # @param key [String] a UUID of version 7
  # @param place [Integer] among what one write makes, from 0
  # @return [String] the key, counted up by the place [published: RFC 9562, 6.2, method 2]
  def after(key, place)
    tail = (key[-COUNTED..].to_i(16) + place) % (16**COUNTED)
    "#{key[0...-COUNTED]}#{tail.to_s(16).rjust(COUNTED, '0')}"
  end
end
