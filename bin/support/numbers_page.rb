# frozen_string_literal: true

require_relative "../../core/lib/grittle"

# docs/numbers.md: every number of the core with its unit and source, and the pages of the table keys, from the data
# that the core computes with. A spec compares. Run by hand after a change of core/lib/grittle/data/:   ruby
# bin/support/numbers_page.rb
module NumbersPage
  PATH = File.expand_path("../../docs/numbers.md", __dir__)
  OPENING = <<~TEXT
    # Numbers

    Every number that Grittle computes with, and the pages of the table keys, written from `core/lib/grittle/data/` by
    `bin/support/numbers_page.rb`. *published*: from the source named; *not checked*: of that source, but written
    without the page open; *common practice*: taught, without a source; *our own*: our own model or choice. Triangles
    have their rules, with their sources, in `core/lib/grittle/triangles/`.
  TEXT

  module_function

  # @return [String] the page
  def text = [OPENING, *subjects.map { |one| one.is_a?(Grittle::Figures) ? figures(one) : page(one) }].join("\n")

  def subjects
    all = Grittle::Data.constants.map { |name| Grittle::Data.const_get(name) }
    all.select { |one| one.is_a?(Grittle::Figures) || one.is_a?(Grittle::Keys::Page) }.sort_by(&:title)
  end

  def figures(subject)
    rows = subject.all.map do |name, figure|
      [name.to_s.tr("_", " "), said(figure.value), figure.unit, mark(figure.mark), figure.source]
    end
    "## #{subject.title}\n\n#{table(%w[number value unit mark source], rows)}"
  end

  # Printed words, and beside them how they are read, with what is near in brackets.
  def page(page)
    columns = page.printed.values.flat_map(&:keys).uniq
    tests = page.read.values.flat_map(&:keys).uniq
    printed = page.printed.map { |code, row| [code, *columns.map { |column| row[column].to_s }] }
    read = page.read.map { |code, row| [code, *tests.map { |test| cell(row[test], page.near.dig(code, test)) }] }
    <<~TEXT
      ## #{page.title}, as printed

      #{mark(page.mark)}: #{page.source}

      #{table(['class', *columns], printed)}
      ### How it is read

      The answers that fit; in brackets, our own model, those next to them.

      #{table(['class', *tests.map { |test| test.tr('_', ' ') }], read)}
    TEXT
  end

  def mark(name) = name == "from memory" ? "not checked" : name

  def cell(fits, near)
    return "" unless fits

    near ? "#{listed(fits)} (#{listed(near)})" : listed(fits)
  end

  def listed(states) = states.match?(/\d/) ? states : states.split.join(", ").tr("_", " ")

  # How a likelihood depends on what it depends on, as Grittle::Data::LIKELIHOODS has it.
  LIKELIHOODS = {
    degree: ->((axis, cuts, width)) { "#{axis}: answers change at #{said(cuts)}, width #{width}" },
    yes: lambda do |(axis, half, width, slip)|
      "#{axis}: half say yes at #{half}, width #{width}, #{said(slip * 100)} % slips"
    end,
    number: ->((axis, spread)) { "#{axis}: about it, standard deviation #{spread}" },
    length: ->(axis) { "#{axis}: about the curve's length for it" },
    stands_out: lambda { |answers|
      answers
        .map { |answer, (part, over, share)| "#{answer.tr('_', ' ')}: #{part} over #{over} less #{share} of the clay" }
        .join("; ")
    },
    scale: ->(scale) { "scale #{scale}" }
  }.freeze

  def said(value)
    case value
    when Range then [value.begin, value.exclude_end? ? "under #{value.end}" : value.end].join(" to ")
    when Hash then pairs(value)
    when Array then value.map { |one| one.is_a?(Array) ? "(#{said(one)})" : said(one) }.join(", ")
    when Float then value.round(4).to_s.delete_suffix(".0")
    when nil then "–"
    else value.to_s
    end
  end

  def pairs(value)
    value
      .map { |name, one| LIKELIHOODS.key?(name) ? LIKELIHOODS[name].call(one) : "#{said(name)}: #{said(one)}" }
      .join("; ")
  end

  def table(heads, rows)
    lines = [heads, heads.map { "---" }, *rows.map { |row| row.map { |text| text.to_s.gsub("|", "\\|") } }]
    lines.map { |row| "| #{row.join(' | ')} |\n" }.join
  end
  private_class_method :subjects, :figures, :page, :mark, :cell, :listed, :said, :pairs, :table
end

File.write(NumbersPage::PATH, NumbersPage.text) if $PROGRAM_NAME == __FILE__
