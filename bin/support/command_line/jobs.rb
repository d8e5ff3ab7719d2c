# frozen_string_literal: true

module CommandLine
  # Hands texts to so many processes in turn and takes the answers back in the order of the texts.
  class Jobs
    # @param count [Integer]
    # @yieldparam text [String]
    # @yieldreturn [Array(String, Integer)] the answer, and a count that is added up
    def initialize(count, &work)
      @workers = []
      count.times { @workers << worker(&work) }
      @waiting = []
      @next = 0
    end

    # @param text [String]
    # @yieldparam answer [Array(String, Integer)] of an earlier text, as soon as its process is needed again
    def give(text)
      to, from = @workers[@next % @workers.size]
      yield take if @waiting.size == @workers.size
      to.write([text.bytesize].pack("Q"), text)
      @waiting << from
      @next += 1
    end

    # @yieldparam answer [Array(String, Integer)] of every text that was given, in order
    def finish
      yield take until @waiting.empty?
    end

    # Ends the processes.
    def close
      @workers.each { |to, _, pid| [to.close, Process.wait(pid)] }
    end

    private

    def take
      from = @waiting.shift
      size, count = from.read(16).to_s.unpack("QQ")
      raise Grittle::Error, "A process ended too early." unless size

      [from.read(size), count]
    end

    def worker
      text, to = IO.pipe(binmode: true)
      from, answer = IO.pipe(binmode: true)
      pid = fork do
        # What is open elsewhere has no end.
        [to, from, *@workers.flat_map { |others| others.first(2) }].each(&:close)
        while (size = text.read(8))
          said, count = yield(text.read(size.unpack1("Q")))
          answer.write([said.bytesize, count].pack("QQ"), said)
        end
        exit!(0)
      end
      [text, answer].each(&:close)
      [to, from, pid]
    end
  end
end
