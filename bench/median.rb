# frozen_string_literal: true

# @param count [Integer] how often the block runs
# @return [Float] ms: the median time of one run
def median(count)
  times = Array.new(count) do
    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
  end
  times.sort[count / 2]
end
