# frozen_string_literal: true

# Where no locale is set, Ruby would take text for US-ASCII.
Encoding.default_external = Encoding::UTF_8

# Where things are, and how set-up speaks. Ruby's standard library alone: this runs before anything is installed.
module Place
  ROOT = File.expand_path("../..", __dir__)
  VAR = File.join(ROOT, "var")
  LOGS = File.join(VAR, "log")

  module_function

  def at(*parts) = File.join(ROOT, *parts)
end

# Exit status of a child that has told the person what is wrong.
ALREADY_SAID = 3

# Something only the person can mend; said in one sentence, and nothing is harmed.
class Stop < StandardError; end

# One line of progress.
def say(text)
  $stdout.puts "grittle: #{text}"
  $stdout.flush
end

# Runs a command's body; whatever the person can mend ends in one sentence and status 1.
def in_one_sentence
  yield
rescue Stop => e
  warn "grittle: #{e.message}"
  exit 1
rescue Errno::ENOSPC
  warn "grittle: The disk is full. Free some space and run the command again; nothing was harmed."
  exit 1
rescue Errno::EACCES, Errno::EROFS => e
  warn "grittle: This folder cannot be written to (#{e.message[/@ \w+ - (.+)/, 1]}). Nothing was changed."
  exit 1
rescue Interrupt
  exit 130
end
