# frozen_string_literal: true

# A file on its way in: what it is, what is wrong in it, how far it has come.
module ImportSerializer
  module_function

  # @param import [Exchange::Import]
  # @return [Hash] schema Import
  def call(import)
    source = import.source
    {
      id: import.id,
      name: import.name,
      format: import.format,
      format_name: Exchange::ImportFile::FORMATS.fetch(import.format),
      state: import.state,
      done: import.done,
      total: source.total,
      counts: source.counts,
      failure: import.failure,
      problem_count: source.problems.count,
      problems: source.problems.to_a,
      table: import.format == "table" ? table(source) : nil
    }
  end

  def table(source)
    { headings: source.headings, targets: source.targets, unit: source.unit, rows: source.first_rows,
      names: CatalogueSerializer.choices(Grittle::Entry::Columns::NAMES),
      units: Grittle::Entry::Columns::DEPTH_UNITS.keys }
  end
end
