# frozen_string_literal: true

# A row that holds a class: key, system, code, and what else belongs to its name.
module ClassColumns
  def self.included(base) = base.attribute(:added, ActiveRecord::Type::Json.new)

  # @param row [Hash{String=>Object}] columns
  # @return [Grittle::NamedClass]
  def self.named(row) = Grittle::NamedClass.from(row.slice("key", "system", "code").merge(row["added"] || {}))

  # @return [Grittle::NamedClass]
  def named = ClassColumns.named(attributes)

  # @param named [Grittle::NamedClass]
  # @return [Hash{Symbol=>Object}] columns
  def self.columns(named)
    { key: named.key, system: named.system, code: named.code, added: named.added.transform_keys(&:to_s).presence }
  end
end
