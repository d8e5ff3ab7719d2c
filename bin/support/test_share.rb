# frozen_string_literal: true

# Prints what share of all code lines the tests are, without comments and blank lines; a quarter to a third is meant.
#   ruby bin/support/test_share.rb

MEANT = (0.25..0.34)
CODE = /\.(rb|ts|vue|css)$/
TEST = %r{(^|/)spec/.*\.rb$|\.spec\.ts$}

root = File.expand_path("../..", __dir__)
files = Dir.chdir(root) { `git ls-files --cached --others --exclude-standard`.lines(chomp: true) }
commands = files.grep(%r{^bin/[^./]+$})
tests, code = [*files.grep(CODE), *commands].select { |file| File.file?(File.join(root, file)) }
                                            .partition { |file| file.match?(TEST) }
count = ->(list) { list.sum { |file| File.foreach(File.join(root, file)).count { |line| !line.match?(%r{\A\s*(#|//|\z)}) } } }
share = count[tests].fdiv(count[tests] + count[code])
puts format("tests are %.1f %% of all code lines (%d of %d)", 100 * share, count[tests], count[tests] + count[code])
exit MEANT.cover?(share)
