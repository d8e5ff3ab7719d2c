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
      state: import.job.state,
      done: import.job.done,
      total: source.total,
      counts: source.counts,
      failure: import.job.failure,
      people: people(import),
      problem_count: source.problems.count,
      problems: source.problems.to_a,
      table: import.format == "table" ? table(source) : nil
    }
  end

  # Who is named in the file, whether the fieldbook knows somebody of that name, and whether they are another.
  def people(import)
    known = import.job.fieldbook.observers.where(name: import.people).pluck(:name).map(&:downcase)
    import.people.map do |name|
      { name: name, known: known.include?(name.downcase), other: import.others.include?(name) }
    end
  end

  def table(source)
    { headings: source.headings, targets: source.targets, unit: source.unit, rows: source.first_rows,
      names: CatalogueSerializer.choices(Grittle::Entry::Columns::NAMES),
      units: Grittle::Entry::Columns::DEPTH_UNITS.keys }
  end
end
