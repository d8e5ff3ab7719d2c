# frozen_string_literal: true

# A row that holds a class: key, system, code, and what else belongs to its name.
module ClassColumns
  def self.included(base) = base.attribute(:added, ActiveRecord::Type::Json.new)

  # @return [Grittle::NamedClass]
  def named = Grittle::NamedClass.from("key" => key, "system" => self[:system], "code" => code, **(added || {}))

  # @param named [Grittle::NamedClass]
  # @return [Hash{Symbol=>Object}] columns
  def self.columns(named)
    { key: named.key, system: named.system, code: named.code, added: named.added.transform_keys(&:to_s).presence }
  end
end
