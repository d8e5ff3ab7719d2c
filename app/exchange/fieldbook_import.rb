# frozen_string_literal: true

module Exchange
  # A fieldbook that was sent, as rows of the known tables: checked as a whole, then imported as a whole.
  class FieldbookImport
    attr_reader :problems

    # @param rows [Hash{String=>Enumerable<Hash>}] by table; a row by column. What is no Array is gone through anew each
    #   time, and never held as a whole
    # @param pictures [#[]] bytes by digest
    def initialize(rows, pictures)
      @rows = Tables::ALL.to_h { |table| [table.name, rows[table.name] || []] }
      @pictures = pictures
      @problems = Problems.new
      @people = Set.new
      learn
      check
    end

    # @return [Hash{String=>Integer}] how many rows of each table
    def counts = @counts.reject { |_, count| count.zero? }

    # @return [Array<String>] who is named in it
    def people = @people.to_a.sort

    # @return [Integer]
    def total = counts.values.sum

    # @param import [FileImport, nil] that what stands by itself belongs to
    # @yield after each row that is kept
    def take_in(import = nil)
      @import = import
      @new_ids = Hash.new { |hash, table| hash[table] = {} }
      Tables::ALL.each do |table|
        each_row(table) do |row, place|
          @checks.row(table, row) # which reads its cells: what was read in the check was not held
          record = kept(table, row, place)
          @new_ids[table.name][row["id"]] = record.id
          record.keep(@pictures[row["digest"]]) if table.name == "photos"
          yield if block_given?
        end
      end
      Tables::LATER.each { |table, column| link(table, column) }
      settle
    end

    private

    # Rows of a table in the order of their ids, each a copy that may be changed. A file that has them in another order
    # is read whole.
    # @yieldparam row [Hash]
    # @yieldparam place [Integer] from 0, in that order
    def each_row(table)
      rows = @rows[table.name]
      rows = rows.sort_by { |row| row["id"].is_a?(Integer) ? row["id"] : 0 } unless @in_order[table.name]
      rows.each_with_index do |row, place|
        yield Earlier.complete(table.name, copy(row)) { |ribbon| @taken_back[ribbon] }, place
      end
    end

    def copy(row) = row.transform_values { |value| value.is_a?(Hash) ? value.dup : value }

    # Which ids there are, how many, whether in order, who is named, and when ribbons were taken back: all that is held
    # of the rows.
    def learn
      @ids = {}
      @in_order = {}
      @counts = {}
      @taken_back = {}
      @twice = Hash.new { |hash, table| hash[table] = [] }
      Tables::ALL.each { |table| learn_of(table) }
    end

    def learn_of(table)
      known = @ids[table.name] = {}
      last = -Float::INFINITY
      in_order = true
      count = 0
      names = table.columns.select { |column| column.kind == :person }.map(&:name)
      @rows[table.name].each do |row|
        id = row["id"]
        known.key?(id) ? @twice[table.name] |= [id] : known[id] = true
        in_order &&= id.is_a?(Integer) && id >= last
        last = id if in_order
        count += 1
        learn_names(row, names)
        @taken_back[id] = row["taken_back_at"] if row["taken_back_at"]
      end
      @in_order[table.name] = in_order
      @counts[table.name] = count
    end

    def learn_names(row, names)
      names.each do |name|
        said = row[name] || row[Earlier::PEOPLE.key(name)]
        @people << said.strip if said.is_a?(String) && !said.strip.empty?
      end
    end

    def check
      @checks = RowChecks.new(@pictures, @ids)
      Tables::ALL.each do |table|
        @twice[table.name].each { |id| @problems.add(table.name, "The id #{Grittle::Units.plain(id)} stands twice.") }
        each_row(table) do |row, place|
          where = "#{table.name}, row #{place + 1}"
          @problems.within(where) { @checks.row(table, row) }
          @checks.layer(row, where) if table.name == "horizons"
          links(table, row, @ids).each { |sentence| @problems.add(where, sentence) }
        end
      end
      @checks.overlaps.each { |where, sentence| @problems.add(where, sentence) }
    end

    def links(table, row, ids)
      found =
        table
        .columns
        .select { |column| column.kind == :ref && row[column.name] }
        .map { |column| [column.to, row[column.name]] }
      found << [Tables::PHOTO_OF[row["of"]], row["of_id"]] if table.name == "photos"
      found << [Traces::OF[row["record_type"]], row["record_id"]] if table.name == "revisions"
      found.reject { |to, id| to && ids[to][id] }.map { |to, id| "There is no #{to} #{id}." }
    end

    def attributes(table, row)
      plain =
        table.columns.reject do |column|
          %i[id derived field].include?(column.kind) || Tables::LATER.include?([table.name, column.name])
        end
      found = plain.to_h { |column| attribute(column, row[column.name]) }
      found.merge!(spoken_of(table, row))
      found["file_import_id"] = @import.id if @import && alone?(table, found)
      if table.fields.any?
        found["described"] = table
                             .fields
                             .to_h { |column| [column.name, row[column.name]] }
                             .compact
                             .presence
      end
      found
    end

    # A site, and a palmful of no place.
    def alone?(table, row)
      table.name == "sites" ||
        (table.name == "samples" && row.values_at("horizon_id", "profile_id", "site_id").none?)
    end

    # What a row says of others outside the columns that are ids.
    def spoken_of(table, row)
      case table.name
      when "photos" then { "of_id" => @new_ids[Tables::PHOTO_OF[row["of"]]][row["of_id"]] }
      when "reports"
        table_id = @new_ids["assessor_tables"][row["asked"]["table_id"]]
        { "asked" => row["asked"].merge("table_id" => table_id).compact }
      when "layer_changes" then { "was" => Traces.layers_inward(row["was"], @new_ids) }
      when "revisions"
        {
          "record_id" => @new_ids[Traces::OF[row["record_type"]]][row["record_id"]],
          "was" => Traces.inward(row["was"], @new_ids)
        }
      else {}
      end
    end

    def attribute(column, value)
      case column.kind
      when :ref then [column.name, value && @new_ids[column.to][value]]
      when :person then ["#{column.name}_id", Observer.named(value)&.id]
      when :time then [column.name, value && Time.iso8601(value)]
      else [column.name, value]
      end
    end

    # @raise [Unreadable] naming the row and why
    def kept(table, row, place)
      table.model.create!(attributes(table, row))
    rescue ActiveModel::RangeError, ActiveRecord::RecordInvalid, ActiveRecord::StatementInvalid, ArgumentError,
           TypeError => e
      raise if Trouble.passing?(e)

      why = e.message.lines.first.to_s.strip[0, 160]
      raise Unreadable, "#{table.name}, row #{place + 1}, could not be imported: #{why} Nothing was changed."
    end

    # What lists read follows from the rows that are there now.
    def settle
      readings = @new_ids["readings"].values
      Reading
        .where(id: readings)
        .where("EXISTS (SELECT 1 FROM assignments WHERE reading_id = readings.id)")
        .update_all(classed: true)
      Profile
        .where(id: @new_ids["profiles"].values)
        .includes(:site)
        .find_each { |profile| profile.refresh(touch: true) }
    end

    def link(table, column)
      target = Tables::BY_NAME[table][column].to
      @rows[table].each do |row|
        next unless row[column]

        Tables::BY_NAME[table]
          .model
          .where(id: @new_ids[table][row["id"]])
          .update_all(column => @new_ids[target][row[column]])
      end
    end
  end
end
