# frozen_string_literal: true

# backtick_javascript: true

module Device
  # What of a fieldbook lies on this device, as rows by table and number. One request at a time changes it, and either
  # all of its changes stand or none.
  module Tables
    # Numbers of what was made here begin above all that a server gives; script counts whole numbers up to twice that.
    FIRST_OWN = 4_503_599_627_370_496

    @columns = {}
    @rows = {}
    @indexes = {}
    @records = {}
    @before = nil

    class << self
      # @param columns [Hash{String=>Array}] by table: name, type and default of each column
      def describe(columns)
        @columns = columns.transform_values do |all|
          all.to_h { |name, type, default| [name, { type: type, default: default }] }
        end
      end

      # @param rows [Hash{String=>Array<Hash{String=>Object}>}] by table; they take the place of what was there
      # @param first [Integer] the number of the next row that is made here
      def load(rows, first)
        @rows = {}
        @records = {}
        @indexes = {}
        @next = first
        rows.each do |table, all|
          @rows[table] = all.to_h { |row| [row["id"], row] }
          all.each { |row| @next = row["id"] + 1 if row["id"] >= @next }
        end
      end

      # @return [Hash{String=>Hash}] type and default by column
      def columns(table) = @columns.fetch(table) { raise KeyError, "This device has no table #{table}." }

      # @return [Hash{Integer=>Hash}] rows by number
      def rows(table) = @rows[table] ||= {}
      def row(table, id) = rows(table)[id]

      # @return [Hash{Integer=>Record}] records that were made of rows, so that one row is one record
      def records(table) = @records[table] ||= {}

      # @return [Array<Integer>] numbers of the rows with a value in a column, rising
      def numbers(table, column, value)
        index = (@indexes[table] ||= {})[column] ||= indexed(table, column)
        `index.get(value) || []`
      end

      # @return [Integer] of the row
      def add(table, row)
        id = row["id"] || own_number
        write(table, id, row.merge("id" => id))
        id
      end

      # @param row [Hash{String=>Object}, nil] nil takes it away
      def write(table, id, row)
        remember(table, id)
        @indexes.delete(table)
        row ? rows(table)[id] = row : rows(table).delete(id)
      end

      # All changes of the block, or none.
      # @return [Array] what the block says, and the changes: table, number, row or nil
      def together
        @before = {}
        said = yield
        [said, @before.keys.map { |table, id| [table, id, row(table, id)] }]
      rescue StandardError
        before = @before
        @before = nil
        before.each { |(table, id), row| write(table, id, row) }
        raise
      ensure
        @before = nil
        @records = {}
      end

      # @return [Boolean] whether anything was changed in what is done together so far
      def changed? = !@before.nil? && !@before.empty?

      private

      def own_number = (@next += 1) - 1

      def remember(table, id)
        return if @before.nil? || @before.key?([table, id])

        @before[[table, id]] = row(table, id)&.dup
      end

      def indexed(table, column)
        all = rows(table)
        %x{
          var found = new Map();
          all.forEach(function(row, id) {
            var value = row.get(column);
            if (value === undefined) value = nil;
            var same = found.get(value);
            if (same) same.push(id); else found.set(value, [id]);
          });
          found.forEach(function(same) { same.sort(function(a, b) { return a - b; }); });
          return found;
        }
      end
    end
  end
end
