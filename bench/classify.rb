# frozen_string_literal: true

# Rows a second and peak memory of `bin/grittle classify` on one core, for 100,000 and 1,000,000 rows:
#   ruby bench/classify.rb
# The second line's memory should be the first's: the command streams.

require "tempfile"

GRITTLE = File.expand_path("../bin/grittle", __dir__)
TARGET = 60_000 # rows a second

def write_rows(file, count)
  random = Random.new(1)
  file.puts "id,sand,silt,clay"
  count.times do |id|
    low, high = [random.rand(101), random.rand(101)].sort
    file.puts "#{id},#{low},#{high - low},#{100 - high}"
  end
  file.flush
end

# Runs the command and reads its peak resident memory (kB) from the kernel before it is reaped.
def measure(path)
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  reader, writer = IO.pipe
  pid = fork do
    reader.close
    $stdout.reopen(File::NULL)
    at_exit { writer.write File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1] }
    ARGV.replace(["classify", path])
    load GRITTLE
  end
  writer.close
  peak = reader.read.to_i
  Process.wait(pid)
  [Process.clock_gettime(Process::CLOCK_MONOTONIC) - started, peak]
end

[100_000, 1_000_000].each do |count|
  Tempfile.create("rows") do |file|
    write_rows(file, count)
    seconds, peak = measure(file.path)
    rate = count / seconds
    puts format("%9d rows: %7d rows/s (%.2f of the target of %d), peak memory %d MB", count, rate, rate / TARGET, TARGET,
                peak / 1024)
  end
end
