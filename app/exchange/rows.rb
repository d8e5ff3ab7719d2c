# frozen_string_literal: true

require "time"

module Exchange
  # Records as rows of a table, batch by batch, so that memory stays flat however many there are.
  class Rows
    BATCH = 500
    WITH = { "horizons" => [{ speaks: :answers }], "assignments" => [], "reported_classes" => [] }.freeze

    # @param table [Table]
    # @param relation [ActiveRecord::Relation]
    def initialize(table, relation)
      @table = table
      @relation = relation.includes(WITH.fetch(table.name, []))
      @people = {}
    end

    # @yieldparam row [Hash{String=>Object}]
    def each
      return enum_for(:each) unless block_given?

      @relation.find_each(batch_size: BATCH) { |record| yield row(record) }
    end

    private

    def row(record)
      row = @table.columns.to_h { |column| [column.name, value(record, column)] }
      @table.name == "revisions" ? row.merge("was" => Traces.outward(row["was"])) : row
    end

    def value(record, column)
      case column.kind
      when :field then record.seen[column.name]
      when :person then person(record["#{column.name}_id"])
      when :time then record[column.name]&.iso8601(6)
      when :number then plain(record[column.name])
      when :derived then send(column.name, record)
      else record[column.name]
      end
    end

    def plain(number) = number && (number == number.to_i ? number.to_i : number.to_f)
    def person(id) = id && (@people[id] ||= Observer.find(id).name)

    # The class of what speaks for a horizon, as the section has it.
    def texture(horizon) = horizon.class_given&.full_name

    def clay_percent(horizon)
      answers = horizon.speaks ? horizon.speaks.answers.to_a : []
      said = answers.reverse.find { |answer| answer.observation == "clay_estimate" }
      said&.value&.fetch("percent", nil)
    end
  end
end
