# frozen_string_literal: true

module ActiveRecord
  # Records that were found already.
  class Found
    include Enumerable

    def initialize(all) = @all = all
    def each(&) = @all.each(&)
    def find_each(&) = each(&)
    def preload(*, **) = self
    def offset(count) = Found.new(@all.drop(count))
    def limit(count) = Found.new(@all.first(count))
  end

  # Records of one table by conditions, in an order; looked up anew each time it is asked.
  class Relation
    include Enumerable

    COMPARED = /^(?:\w+\.)?(\w+) (>=|<=|>|<|=) \?$/

    attr_reader :model

    def initialize(model, conditions: [], order: [], made_with: {}, limit: nil, offset: 0)
      @model = model
      @conditions = conditions
      @order = order
      @made_with = made_with
      @limit = limit
      @offset = offset
    end

    def with(**more)
      Relation.new(@model, conditions: @conditions, order: @order, made_with: @made_with, limit: @limit,
                           offset: @offset, **more)
    end

    def where(given = nil, *values)
      return Negated.new(self) if given.nil?

      with(conditions: @conditions + Relation.conditions(@model, given, values))
    end

    # What comes after where without anything.
    Negated = Struct.new(:relation) do
      def not(given)
        all = Relation.conditions(relation.model, given, [])
        relation.with(conditions: relation.told + [[nil, ->(record) { all.none? { |_, holds| holds[record] } }]])
      end
    end

    def told = @conditions

    # @return [Array] pairs: a column and value that an index knows, or nil, and what decides of a record
    def self.conditions(model, given, values)
      return [compared(given, values)] if given.is_a?(String)

      given.map do |name, value|
        next [nil, nested(model, name, value)] if value.is_a?(Hash)

        column = model.column_of(name)
        plain = value.is_a?(Base) ? value.id : value
        holds = ->(record) { among?(plain, record[column]) }
        simple = !(plain.is_a?(Array) || plain.is_a?(Range) || plain.is_a?(Relation))
        [(column == "id" || column.end_with?("_id")) && simple ? [column, plain] : nil, holds]
      end
    end

    def self.among?(wanted, value)
      case wanted
      when Relation then wanted.ids.include?(value)
      when Array then wanted.any? { |one| (one.is_a?(Base) ? one.id : one) == value }
      when Range then !value.nil? && wanted.cover?(value)
      else wanted == value
      end
    end

    def self.compared(text, values)
      _, column, sign = *text.match(COMPARED) || raise(ArgumentError, "This device cannot read “#{text}”.")
      [nil, ->(record) { (value = record[column]) && value.public_send(sign, values.first) }]
    end

    # Of what a record belongs to, named by its table.
    def self.nested(model, table, wanted)
      name = model.owners.find { |_, owner| owner.model.table_name == table.to_s }&.first
      lambda do |record|
        owner = record.public_send(name)
        owner && wanted.all? { |column, value| among?(value, owner[column.to_s]) }
      end
    end

    # @param names [Array<Symbol>] rising
    # @param ways [Hash{Symbol=>Symbol}] :asc or :desc
    def order(*names, **ways)
      told = names.to_h { |name| [name, :asc] }.merge(ways)
      with(order: @order + told.map { |name, way| [name.to_s, way == :desc ? -1 : 1] })
    end

    def limit(count) = with(limit: count)
    def offset(count) = with(offset: count)
    def preload(*, **) = self
    def includes(*, **) = self
    def joins(*, **) = self
    def left_joins(*, **) = self
    def all = self
    def reset = self
    def reload = self
    def or(other) = with(conditions: [[nil, ->(one) { holds?(one) || other.holds?(one) }]])
    def holds?(record) = @conditions.all? { |_, holds| holds[record] }
    def select(column = nil, &block) = block ? to_a.select(&block) : pluck(column)
    def distinct = self

    def each(&) = to_a.each(&)

    def to_a
      known = @conditions.find(&:first)&.first
      ids = known ? Device::Tables.numbers(@model.table_name, *known) : Device::Tables.rows(@model.table_name).keys.sort
      found = ids.map { |id| @model.of_row(id) }.select { |record| holds?(record) }
      found = sorted(found) unless @order.empty?
      @limit || @offset.positive? ? found.drop(@offset).first(@limit || found.size) : found
    end
    alias to_ary to_a

    def find(*ids, &block)
      return to_a.find(&block) if block
      return ids.first.map { |id| find(id) } if ids.first.is_a?(Array)

      id = ids.first.is_a?(String) ? ids.first.to_i : ids.first
      where(id: id).first || raise(RecordNotFound.new(@model, id))
    end

    def find_by(given) = where(given).first
    def find_by!(given) = find_by(given) || raise(RecordNotFound.new(@model, given.values.first))
    def find_each(&) = each(&)
    def first(*count) = to_a.first(*count)
    def last(*count) = to_a.last(*count)
    def ids = to_a.map(&:id)
    def pick(name) = pluck(name).first

    def exists?(given = nil)
      return any? if given.nil?

      where(given.is_a?(Hash) ? given : { id: given }).any?
    end

    def any?(&block) = block ? to_a.any?(&block) : !to_a.empty?
    def empty? = to_a.empty?
    def size = to_a.size
    def length = size
    def count(*given, &block) = given.empty? && block.nil? ? size : to_a.count(*given, &block)
    def maximum(name) = pluck(name).compact.max

    # Only ever to count what is in each.
    def group(name) = Groups.new(to_a.group_by { |record| record[name.to_s] })

    # A version moves on with it, as the server's does; that is all that is ever said as a text.
    def update_all(given)
      changed = to_a
      changed.each { |record| record.update_columns({ **record.next_version, **(given.is_a?(Hash) ? given : {}) }) }
      changed.size
    end

    def delete_all = to_a.each { |record| Device::Tables.write(@model.table_name, record.id, nil) }.size

    # Rows by the value of a column.
    Groups = Struct.new(:found) do
      def count = found.transform_values(&:size)
    end

    def pluck(*names)
      rows = to_a.map { |record| names.map { |name| record[name.to_s] } }
      names.size == 1 ? rows.map(&:first) : rows
    end

    def create!(**given) = @model.create!(**@made_with, **given)
    def ==(other) = other.respond_to?(:to_a) && to_a == other.to_a
    def with_owner(given) = with(made_with: given)
    def presence = empty? ? nil : self

    def method_missing(name, *given, **named, &block)
      scope = @model.scopes[name]
      return instance_exec(*given, &scope) if scope
      return to_a.public_send(name, *given, &block) if [].respond_to?(name)

      raise NoMethodError, "undefined #{name} for records of #{@model.table_name}"
    end

    def respond_to_missing?(name, *) = @model.scopes.key?(name) || [].respond_to?(name)

    # As the database does: what has no value comes first.
    def self.compare(one, other)
      return one.nil? ? -1 : 1 if one.nil? || other.nil?

      one <=> other
    end
    private_class_method :among?, :compared, :nested

    private

    def sorted(found)
      found.sort do |one, other|
        column, way = @order.find { |name, _| one[name] != other[name] }
        column ? way * Relation.compare(one[column], other[column]) : 0
      end
    end
  end
end
