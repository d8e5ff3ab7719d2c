# frozen_string_literal: true

# Readings as they were loaded for the last answer, so that the next needs not load them again: each is lent to one
# request at a time, and only while it stands in the database as it was put away. Each process of the server keeps its
# own.
module LoadedReadings
  # Readings, about 50 kB each: those at a bench now; the rest is loaded when it is asked for. [our own]
  MOST = 200

  @kept = {}
  @lock = Mutex.new

  module_function

  # @param fieldbook [Fieldbook]
  # @param id [Integer]
  # @return [Reading] for this request alone
  # @raise [ActiveRecord::RecordNotFound]
  def take(fieldbook, id)
    stamp = Stamp.reading(id)
    put_away, reading = @lock.synchronize { @kept.delete([fieldbook.id, id]) }
    reading = fieldbook.on_bench.find(id) unless stamp && put_away == stamp
    reading.around = stamp&.last
    reading
  end

  # Lays it back once its change is committed; one that was not leaves nothing here.
  # @param fieldbook [Fieldbook]
  # @param reading [Reading] as #take gave it, changed through its own methods
  def put_back(fieldbook, reading)
    ActiveRecord.after_all_transactions_commit do
      @lock.synchronize do
        @kept[[fieldbook.id, reading.id]] = [[Stamp.own(reading), reading.around], reading.put_away]
        @kept.shift if @kept.size > MOST
      end
    end
  end
end
