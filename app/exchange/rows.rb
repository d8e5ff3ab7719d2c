# frozen_string_literal: true

require "json"

module Exchange
  # What is kept of a table as rows of its columns, batch by batch, so that memory stays flat however many there are;
  # read past the models, which would take most of the time.
  class Rows
    BATCH = 1000
    # Columns of the database that a derived column needs.
    DERIVED_FROM = { "texture" => "named", "clay_percent" => "speaks_id", "read_as" => "written",
                     "beside_hand" => "id" }.freeze
    SOURCES = { field: ->(_) { "described" }, person: ->(column) { "#{column.name}_id" },
                derived: ->(column) { DERIVED_FROM.fetch(column.name) } }.freeze
    # What the database itself turns into what the row holds: times as ISO 8601 to the microsecond, UTC, and decimal
    # numbers.
    SELECTED = { time: "DATE_FORMAT(%s, '%%Y-%%m-%%dT%%H:%%i:%%S.%%fZ')", number: "CAST(%s AS DOUBLE)" }.freeze

    # @param table [Table]
    # @param relation [ActiveRecord::Relation]
    def initialize(table, relation)
      @table = table
      @relation = relation
      @sources = ["id", *table.columns.map { |column| source(column) }].uniq
      @order = table.columns.map { |column| @sources.index(source(column)) }
      @writers = table.columns.each_with_index.filter_map { |column, place| (made = writer(column)) && [place, made] }
      @names = {}
    end

    # @yieldparam row [Hash{String=>Object}]
    def each
      return enum_for(:each) unless block_given?

      names = @table.columns.map(&:name)
      each_values { |values| yield names.zip(parsed(values)).to_h }
    end

    # @yieldparam values [Array] in the order of the table's columns; what is JSON is its text
    def each_values
      last = 0
      loop do
        batch = read(last)
        learn(batch)
        batch.each { |kept| yield values(kept) }
        break if batch.size < BATCH

        last = batch.last.first
      end
    end

    private

    def source(column) = SOURCES.fetch(column.kind, :name.to_proc).call(column)

    def read(after)
      model = @table.model
      columns = @sources.map { |name| selected(name) }.join(", ")
      rows = @relation.unscope(:order).where(id: (after + 1)..).order(:id).limit(BATCH).select(columns)
      model.connection.select_rows(rows.to_sql)
    end

    def selected(name)
      format(SELECTED.fetch(@table[name]&.kind, "%s"),
             "#{@table.model.quoted_table_name}.#{@table.model.connection.quote_column_name(name)}")
    end

    # What derived columns and people need, for a whole batch at once.
    def learn(batch)
      at = @sources.index("speaks_id") or return
      said = Answer.where(reading_id: batch.filter_map { |kept| kept[at] }, observation: "clay_estimate").order(:id)
      @clay = said.pluck(:reading_id, :value).to_h
    end

    def values(kept)
      @described = nil
      found = kept.values_at(*@order)
      @writers.each do |place, writer|
        value = found[place]
        found[place] = writer.call(value) unless value.nil?
      end
      found
    end

    # @return [Proc, nil] from what the database keeps to what the row holds; nil where that is the same
    def writer(column)
      case column.kind
      when :field then ->(value) { (@described ||= JSON.parse(value))[column.name] }
      when :person then method(:person)
      when :number then ->(value) { plain(value) }
      when :flag then ->(value) { [1, true].include?(value) }
      when :derived then method(column.name)
      when :json then ->(value) { JSON.generate(Traces.outward(JSON.parse(value))) } if @table.name == "revisions"
      end
    end

    def parsed(values)
      values.zip(@table.columns).map { |value, column| value && column.kind == :json ? JSON.parse(value) : value }
    end

    def plain(number) = number == (whole = number.to_i) ? whole : number
    def person(id) = (@people ||= Observer.pluck(:id, :name).to_h)[id]

    # The class of what speaks for a horizon, as the section has it.
    def texture(named) = @names[named] ||= Grittle::NamedClass.from(JSON.parse(named)).full_name

    # What was read into a laboratory's figures.
    def read_as(written) = LaboratoryResult.core(JSON.parse(written)).to_s

    # How it lies beside what the hand made of the sample.
    def beside_hand(id)
      result = LaboratoryResult.find(id)
      reading = result.sample.readings.last
      reading && result.beside(reading)&.fetch("sentence")
    end

    # The clay that the hand wrote down with the reading that speaks; the newest stands, null takes it back.
    def clay_percent(reading) = @clay[reading]&.fetch("percent", nil)
  end
end
