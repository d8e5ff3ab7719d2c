# frozen_string_literal: true

# What is on its way to a laboratory, and back.
module SubmissionSerializer
  module_function

  # @param submission [Submission]
  # @return [Hash] for a list
  def line(submission)
    { id: submission.id, laboratory: submission.laboratory, way: submission.way, state: submission.state,
      said: Submission::STATES.fetch(submission.state), bags: submission.bags.size, number: submission.number,
      made_at: submission.made_at.iso8601, due_at: submission.due_at&.iso8601 }
  end

  def call(submission)
    { **line(submission),
      analysis: Grittle::Practice::LaboratoryResult::METHODS.fetch(submission.analysis), note: submission.note,
      sent_by: submission.sent_by, tries: submission.tries, trouble: submission.trouble,
      next_at: submission.next_at&.iso8601, revision: submission.revision, held: submission.state == "held",
      open: !%w[imported cancelled].include?(submission.state), has_report: !submission.report.nil?,
      problems: (submission.problems || []).map { |one| problem(one) },
      contents: submission.bags.includes(sample: %i[laboratory_results readings]).map { |one| bag(one) } }
  end

  # A row that does not fit, or one without a result.
  def problem(one)
    return "#{one['place'].to_s.capitalize}: #{one['sentence']}" if one["sentence"]

    "#{one['label']}: no result#{". #{one['remark']}" if one['remark'].present?}"
  end

  # @return [Hash] of a bag, with its result beside the hand
  def bag(bag)
    sample = bag.sample
    result = sample.laboratory_results.select { |one| one.submission_id == bag.submission_id }.last
    reading = sample.readings.last
    { sample_id: sample.id, label: bag.label, place: place(sample), textured: reading&.class_given&.full_name,
      result: result&.read.to_s.presence, beside: (result.beside(reading) if result && reading),
      earlier: [sample.laboratory_results.size - 1, 0].max }
  end

  # @param sample [Sample]
  # @return [Hash] that can be sent
  def waiting(sample)
    { id: sample.id, label: sample.label, kind: Grittle::Entry::Fields::SAMPLE_KINDS.fetch(sample.kind),
      place: place(sample) }
  end

  def place(sample) = [sample.place&.name || sample.site&.name, sample.depth_text].compact.join(", ")
end
