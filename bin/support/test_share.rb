# frozen_string_literal: true

# Prints what share of all code the tests are, in characters without comments and white space, so that the way lines
# are broken does not matter; a quarter to a third is meant.
#   ruby bin/support/test_share.rb

MEANT = (0.25..0.34)
CODE = /\.(rb|ts|vue|css)$/
TEST = %r{(^|/)spec/.*\.rb$|\.spec\.ts$}

# Comments that fill a line, and those of several lines, in the languages named by a file's ending.
COMMENTS = {
  ".rb" => [/^\s*#.*$/],
  ".ts" => [%r{^\s*//.*$}, %r{/\*.*?\*/}m],
  ".vue" => [%r{^\s*//.*$}, %r{/\*.*?\*/}m, /<!--.*?-->/m],
  ".css" => [%r{/\*.*?\*/}m]
}.freeze

# @return [Integer] how many characters of a file are code
def size(path)
  text = File.read(path, encoding: "UTF-8")
  COMMENTS.fetch(File.extname(path), COMMENTS[".rb"]).each { |comment| text = text.gsub(comment, "") }
  text.gsub(/\s+/, "").length
end

root = File.expand_path("../..", __dir__)
files = Dir.chdir(root) { `git ls-files --cached --others --exclude-standard`.lines(chomp: true) }
commands = files.grep(%r{^bin/[^./]+$})
tests, code = [*files.grep(CODE), *commands].map { |file| [file, File.join(root, file)] }
                                            .select { |_, path| File.file?(path) }
                                            .partition { |file, _| file.match?(TEST) }
                                            .map { |list| list.sum { |_, path| size(path) } }
share = tests.fdiv(tests + code)
puts format("tests are %.1f %% of all code (%d of %d characters)", 100 * share, tests, tests + code)
exit MEANT.cover?(share)
