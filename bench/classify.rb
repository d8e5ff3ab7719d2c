# frozen_string_literal: true

# Rows a second and peak memory of `bin/grittle classify` on one core, for 100,000 and 1,000,000 rows, beside a bare
# loop of CSV.foreach over the same file, and with two processes:
#   ruby bench/classify.rb
# The memory should be the same for both files: the command streams.

require "tempfile"

GRITTLE = File.expand_path("../bin/grittle", __dir__)
TARGET = 2.5 # times as fast as the bare loop
MOST_MB = 120

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
# @return [Array(Float, Integer)] seconds of processor time and on the clock, and memory
def measure(&work)
  started = [Process.clock_gettime(Process::CLOCK_MONOTONIC), Process.times]
  reader, writer = IO.pipe
  pid = fork do
    reader.close
    $stdout.reopen(File::NULL)
    at_exit { writer.write File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1] }
    work.call
  end
  writer.close
  peak = reader.read.to_i
  Process.wait(pid)
  now = Process.times
  [
    now.cutime - started.last.cutime + now.cstime - started.last.cstime,
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - started.first,
    peak
  ]
end

def classify(*arguments)
  ARGV.replace(["classify", *arguments])
  load GRITTLE
end

[100_000, 1_000_000].each do |count|
  Tempfile.create("rows") do |file|
    write_rows(file, count)
    bare, = measure { require("csv") && CSV.foreach(file.path) { |_| nil } }
    used, seconds, peak = measure { classify(file.path) }
    _, side_by_side, = measure { classify("--jobs", "2", file.path) }
    puts format("%9d rows: %7d rows/s, %.2f times CSV.foreach (at least %.1f), peak memory %d MB (at most %d), " \
                "--jobs 2 %.2f times one",
                count, count / used, bare / used, TARGET, peak / 1024, MOST_MB, seconds / side_by_side)
  end
end
