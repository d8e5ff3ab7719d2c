# frozen_string_literal: true

# Somebody who textures or writes it down.
class Observer < ApplicationRecord
  belongs_to :fieldbook, default: -> { Fieldbook.current }

  # @param name [String, nil]
  # @return [Observer, nil] nil for a blank name
  def self.named(name)
    name = name.to_s.strip
    create_or_find_by!(name: name) unless name.empty?
  end
end
