# frozen_string_literal: true

# As much of Active Record's language as the models speak, over the rows that lie on this device: so the models, what
# renders them and the routes are the server's own files.
module ActiveRecord
  # Something that is not on this device.
  class RecordNotFound < StandardError
    attr_reader :model, :id

    def initialize(model, id)
      @model = model
      @id = id
      super("There is no #{model} #{id} on this device.")
    end
  end

  class RecordNotUnique < StandardError; end

  # What is committed here is committed at once.
  def self.after_all_transactions_commit = yield

  # Values of columns are plain here.
  module Type
    # @api private
    class Json; end
  end

  # A record of a row.
  class Base
    Owner = Struct.new(:name, :model_name, :default, keyword_init: true) do
      def model = Object.const_get(model_name)
      def column = "#{name}_id"
    end

    class << self
      attr_accessor :abstract_class

      def owners = @owners ||= superclass.respond_to?(:owners) ? superclass.owners.dup : {}
      def scopes = @scopes ||= superclass.respond_to?(:scopes) ? superclass.scopes.dup : {}
      def callbacks = @callbacks ||= superclass.respond_to?(:callbacks) ? superclass.callbacks.dup : []

      def table_name
        @table_name ||= begin
          words = name.scan(/[A-Z][a-z]*/).join("_").downcase
          words.end_with?("s") ? "#{words}es" : "#{words}s"
        end
      end

      def column_names = Device::Tables.columns(table_name).keys
      def column_of(name) = owners.key?(name.to_s) ? owners[name.to_s].column : name.to_s

      def attribute(*) = nil

      def belongs_to(name, _scope = nil, class_name: nil, default: nil, **)
        owners[name.to_s] = Owner.new(name: name, model_name: class_name || Base.camel(name), default: default)
        define_method(name) do
          id = self["#{name}_id"]
          id && self.class.owners[name.to_s].model.of_row(id)
        end
        define_method("#{name}=") { |record| self["#{name}_id"] = record&.id }
        define_method("reset_#{name}") { self }
      end

      def has_many(name, scope = nil, class_name: nil, through: nil, **)
        model_name = class_name || Base.camel(Base.singular(name))
        own = self
        define_method(name) do
          model = Object.const_get(model_name)
          found =
            if through
              between = Object.const_get(Base.camel(Base.singular(through)))
              owner = model.owners.find { |_, one| one.model_name == between.name }.first
              Relation.new(model).where(owner => public_send(through).ids)
            else
              owner = model.owners.find { |_, one| one.model_name == own.name }.first
              Relation.new(model).where(owner => self).with_owner({ owner => self })
            end
          scope ? found.instance_exec(&scope) : found
        end
      end

      def has_one(name, *, **) = define_method(name) { nil }

      def scope(name, body)
        scopes[name] = body
        define_singleton_method(name) { |*given| Relation.new(self).instance_exec(*given, &body) }
      end

      def after_save(name) = callbacks << [:after_save, name]
      def before_create(&block) = callbacks << [:before_create, block]

      %w[where find find_by find_by! order preload exists? pluck ids limit joins none all find_each maximum first last
         includes pick update_all count].each do |name|
        define_method(name) { |*given, &block| Relation.new(self).public_send(name, *given, &block) }
      end

      def order(*names, **ways) = Relation.new(self).order(*names, **ways)

      # Columns that are called as something of Ruby's own is, such as open or system.
      def name_columns
        return if @named

        @named = true
        column_names.each do |name|
          next if method_defined?(name) && ![Kernel, Object].include?(instance_method(name).owner)

          define_method(name) { self[name] }
        end
      end

      # @return [Base, nil] the one record of a row
      def of_row(id)
        name_columns
        records = Device::Tables.records(table_name)
        return records[id] if records.key?(id)

        row = Device::Tables.row(table_name, id) or return
        records[id] = allocate.tap { |record| record.take_row(row) }
      end

      def create!(**given) = new(**given).tap(&:save!)
      def create_or_find_by!(given) = find_by(given) || create!(**given)
      def transaction(**) = yield
      def type_for_attribute(*) = nil

      def camel(name) = name.to_s.split("_").map(&:capitalize).join

      def singular(name)
        text = name.to_s
        return "#{text.delete_suffix('ies')}y" if text.end_with?("ies")

        text.end_with?("sses", "ches") ? text.delete_suffix("es") : text.delete_suffix("s")
      end
    end

    def initialize(**given)
      self.class.name_columns
      @row = columns.transform_values { |column| column[:default] }
      @new = true
      @was = {}
      assign_attributes(given)
    end

    # @api private
    def take_row(row)
      @row = row.dup
      @new = false
      @was = {}
    end

    def id = @row["id"]
    def has_attribute?(name) = columns.key?(name.to_s)
    def new_record? = @new
    def attributes = self.class.column_names.to_h { |name| [name, self[name]] }

    def [](name)
      value = @row[name.to_s]
      value.is_a?(String) && time_column?(name.to_s) ? Time.iso8601(value) : value
    end

    def []=(name, value)
      name = name.to_s
      raise NoMethodError, "undefined #{name} of #{self.class}" unless columns.key?(name)

      plain = value.is_a?(Time) ? value.iso8601(6) : value
      return if @row[name] == plain

      @was[name] = @row[name] unless @was.key?(name)
      @row[name] = plain
    end
    alias write_attribute []=

    def assign_attributes(given) = given.each { |name, value| public_send("#{name}=", value) }
    def changed? = !@was.empty?
    def changes = @was.keys.to_h { |name| [name, [@was[name], self[name]]] }
    def changed_attributes = @was.dup
    def clear_attribute_changes(names) = names.each { |name| @was.delete(name.to_s) }

    def update!(given = {}, **named)
      assign_attributes(given.merge(named))
      save!
    end
    alias update update!

    def update_columns(given)
      given.each { |name, value| self[name] = value }
      keep_row
    end

    def save!
      now = Time.now
      first = @new
      if first
        fill_defaults
        run_callbacks(:before_create)
      end
      return true unless first || changed?

      stamp_time("created_at", now) if first
      stamp_time("updated_at", now)
      assign_attributes(next_version) unless first || @was.key?("lock_version")
      keep_row
      run_callbacks(:after_save)
      true
    end

    # @return [Hash{String=>Integer}] nothing where it has no version
    def next_version = @row.key?("lock_version") ? { "lock_version" => @row["lock_version"] + 1 } : {}

    def touch
      stamp_time("updated_at", Time.now)
      assign_attributes(next_version)
      keep_row
    end

    def reload
      take_row(Device::Tables.row(self.class.table_name, id))
      self
    end

    def with_lock = yield
    def transaction = yield

    def destroy! = Device::Tables.write(self.class.table_name, id, nil)

    def method_missing(name, *given)
      column = name.to_s
      return self[column.delete_suffix("=")] = given.first if column.end_with?("=")
      return @was.key?(column.delete_suffix("_changed?")) if column.end_with?("_changed?")
      return !!self[column.delete_suffix("?")] if column.end_with?("?") && @row.key?(column.delete_suffix("?"))
      return self[column] if columns.key?(column)

      raise NoMethodError, "undefined #{name} for #{self.class}"
    end

    def respond_to_missing?(name, *) = columns.key?(name.to_s)

    private

    def columns = Device::Tables.columns(self.class.table_name)
    def time_column?(name) = columns[name][:type] == "datetime"
    def stamp_time(name, time) = @row.key?(name) && self[name] = time

    def fill_defaults
      self.class.owners.each_value do |owner|
        next unless owner.default && @row[owner.column].nil?

        public_send("#{owner.name}=", instance_exec(&owner.default))
      end
    end

    def keep_row
      @row["id"] = Device::Tables.add(self.class.table_name, @row) if @new
      Device::Tables.write(self.class.table_name, id, @row.dup)
      Device::Tables.records(self.class.table_name)[id] = self
      @new = false
      @was = {}
      true
    end

    def run_callbacks(kind)
      self.class.callbacks.each do |one, what|
        next unless one == kind

        what.is_a?(Proc) ? instance_exec(&what) : public_send(what)
      end
    end
  end
end
