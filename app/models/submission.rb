# frozen_string_literal: true

require "securerandom"

# Bags on their way to a laboratory: by its service, which the queue asks until the results are there, or on paper with
# a custody sheet, whose results come as a table.
class Submission < ApplicationRecord
  WAYS = { "service" => "By the laboratory's service", "paper" => "On paper; results come as a table" }.freeze
  # In the order they follow. What is held waits for a person: something in the report does not fit.
  STATES = { "queued" => "Waiting to be sent", "sent" => "With the carrier", "received" => "Received by the laboratory",
             "in_analysis" => "In analysis", "reported" => "Reported", "held" => "Reported, but something does not fit",
             "imported" => "Results imported", "cancelled" => "Cancelled" }.freeze
  # States in which the service is asked.
  UNDER_WAY = %w[queued received in_analysis reported].freeze
  MOST_BAGS = 200
  # Seconds between two looks; after a failure the first of them, doubled each time up to the last. [our own]
  LOOK = 5
  PATIENCE = (5..600)
  # Seconds after which an imported report is looked at for a correction, and days that this goes on. [our own]
  LATER = 3600
  CORRECTED_DAYS = 30

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  has_many :bags, -> { order(:id) }, class_name: "SubmissionBag", dependent: :destroy, inverse_of: :submission
  has_many :results, class_name: "LaboratoryResult", dependent: :nullify
  attribute :problems, ActiveRecord::Type::Json.new

  scope :due, ->(now) { where(way: "service", state: [*UNDER_WAY, "imported"], next_at: ..now) }

  # @param samples [Array<Sample>] with a label each
  # @return [Submission]
  # @raise [Grittle::InvalidInput]
  def self.make(samples, laboratory:, analysis:, way:, note: nil, sent_by: nil)
    one_of(:analysis, analysis, Grittle::Practice::LaboratoryResult::METHODS)
    one_of(:way, way, WAYS)
    check(samples)
    transaction do
      made = create!(laboratory: required_text(:laboratory, laboratory, "laboratory"), analysis: analysis, way: way,
                     note: note.presence, sent_by: sent_by.presence, token: SecureRandom.uuid,
                     state: way == "paper" ? "sent" : "queued", made_at: Time.now.utc,
                     next_at: (Time.now.utc if way == "service"))
      samples.each { |sample| SubmissionBag.create!(submission: made, sample: sample, label: sample.label) }
      made
    end
  end

  def self.check(samples)
    refuse("/samples", "Choose the bags to send.") if samples.empty?
    refuse("/samples", "At most #{MOST_BAGS} bags go together.") if samples.size > MOST_BAGS
    bare = samples.find { |sample| sample.label.blank? }
    refuse("/samples", "#{bare.place_name}: a bag needs a label before it is sent.") if bare
    alike = samples.group_by { |sample| sample.label.strip.downcase }.values.find { |all| all.size > 1 }
    refuse("/samples", "Two bags are labelled “#{alike.first.label}”. Label them apart.") if alike
  end

  def self.refuse(pointer, sentence)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: pointer, sentence: sentence)]
  end
  private_class_method :check, :refuse

  # Samples that can be sent and are not on their way.
  # @param fieldbook [Fieldbook]
  # @return [Array<Sample>]
  def self.waiting(fieldbook)
    under_way = SubmissionBag.joins(:submission).where.not(submissions: { state: %w[cancelled imported] })
    fieldbook.samples.standing.where(kind: Grittle::Entry::Fields::SENT_KINDS).where.not(label: nil)
             .where.not(id: LaboratoryResult.select(:sample_id)).where.not(id: under_way.select(:sample_id))
             .includes(:site, :profile, horizon: :profile).order(:id)
  end

  # @return [ActiveRecord::Relation]
  def samples = Sample.where(id: bags.select(:sample_id))

  # The laboratory has it.
  def accepted(number, due_at)
    update!(state: "received", number: number, due_at: due_at, **calm(LOOK))
  end

  # @param state [String] as the laboratory says
  # @param revision [Integer] of its report
  def stands(state, due_at, revision)
    return update!(**calm(soon(due_at))) if imported? && revision <= taken

    update!(state: state, due_at: due_at, revision: revision, **calm(soon(due_at)))
  end

  # The results are imported, all of them, or the report is held with what does not fit.
  # @param csv [String]
  # @param skip [Boolean] whether rows that do not fit are passed over, because a person said so
  def import(csv, skip: false)
    table = Exchange::LaboratoryTable.new(csv, samples, { "method" => analysis, "laboratory" => laboratory },
                                          labels: bags.to_h { |bag| [bag.label, bag.sample_id] }, skip: skip)
    misfits = misfits(table, skip)
    return hold(csv, misfits) if misfits.any?

    transaction do
      table.take_in("#{laboratory}, #{number || 'on paper'}#{", revision #{revision}" if revision > 1}", self)
      later = way == "service" && made_at > CORRECTED_DAYS.days.ago
      update!(state: "imported", report: csv, problems: table.without.presence, taken: revision, tries: 0, trouble: nil,
              next_at: (Time.now.utc + LATER if later))
    end
  end

  # It did not work; it is tried again, ever later.
  def failed(sentence)
    wait = (PATIENCE.begin * (2**[tries, 10].min)).clamp(PATIENCE)
    update!(tries: tries + 1, trouble: sentence[0, 300], next_at: Time.now.utc + wait)
  end

  # It will not work by itself.
  def refused(sentence) = update!(state: "held", trouble: sentence[0, 300], next_at: nil)

  # The laboratory does not know it (any more): it is sent anew, under the same token.
  def unknown = update!(state: "queued", number: nil, **calm(LOOK))

  # @raise [Grittle::InvalidInput]
  def cancel
    self.class.send(:refuse, "", "Its results are there already.") if imported?
    update!(state: "cancelled", next_at: nil, trouble: nil)
  end

  def imported? = state == "imported"

  private

  # What a person has to look at; what the table leaves open is no guess of ours.
  def misfits(table, skip)
    open = skip ? [] : table.questions
    table.problems.to_a + open.map { |one| { place: "table", sentence: one["sentence"] } }
  end

  def hold(csv, problems)
    update!(state: "held", report: csv, problems: problems.map { |one| one.transform_keys(&:to_s) }, next_at: nil,
            tries: 0, trouble: nil)
  end

  def calm(seconds) = { tries: 0, trouble: nil, next_at: Time.now.utc + seconds }

  # A tenth of the time that is left, within the patience.
  def soon(due_at)
    return LATER if imported?

    ((due_at || Time.now.utc) - Time.now.utc).div(10).clamp(LOOK, PATIENCE.end)
  end
end
