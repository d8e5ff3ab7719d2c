# frozen_string_literal: true

# What the page asks of Ruby: see device/lib/device.rb.
module Device
  # What follows for a reading from writes that are still on their way, before the server has said so: by the same
  # record, from what the server said last.
  class Preview
    # Answers that the record makes of other things.
    MADE = %w[ribbons moisture_rounds].freeze
    RIBBON = %w[length_mm thickness_mm width_mm working_minute reading_error_mm carried_own_weight ended].freeze

    # @param reading [Hash{String=>Object}] schema Reading
    # @param writes [Array<Hash>] "method", "path" and "body", as they wait
    def initialize(reading, writes)
      @reading = reading
      @record = writes.reduce(record) { |so_far, write| taken(so_far, write) || (break nil) }
    end

    # @param evidence [String] how much of the second opinion
    # @return [Hash{String=>Object}, nil] "assessment", "ruler" and "ended_at"; nil where only the server knows
    def to_h(evidence)
      return unless @record && !@reading["own_hand"]

      kept = @record.kept
      whole = @record.assessment.to_h(evidence: evidence)
      contradictions = whole["contradictions"].map { |one| one.merge("kept" => kept[one["rule"]]) }
      { "assessment" => whole.merge("contradictions" => contradictions), "ruler" => @record.assessment.ruler,
        "ended_at" => @record.assessment.ended_at }
    rescue Grittle::InvalidInput
      nil
    end

    private

    def record
      method = Grittle::FieldMethod.new(**@reading["method"])
      Grittle::Record.new([*said, *moistened, *pushed, *kept].map do |event|
        { "at" => 0 }.merge(event)
      end, method: method)
    end

    def said
      @reading["observations"].except(*MADE).map do |name, value|
        { "kind" => "answer", "name" => name, "value" => value }
      end
    end

    def moistened = @reading["moisture"]["answers"].map { |word| { "kind" => "moisture", "value" => word } }

    def pushed
      @reading["ribbons"].map { |one| { "kind" => "ribbon", "id" => one["id"], **one.slice(*RIBBON).compact } }
    end

    def kept
      @reading["assessment"]["contradictions"].select { |one| one["kept"] }.map do |one|
        { "kind" => "kept", "name" => one["rule"], "value" => one["kept"] }
      end
    end

    # @return [Grittle::Record, nil]
    def taken(record, write)
      body = write["body"] || {}
      case "#{write['method']} #{write['path']}"
      when %r{^PUT .*/place$} then record
      when %r{^POST .*/ribbons$} then ribbon(record, body)
      when %r{^PATCH .*/readings/\d+$} then answered(record, body)
      end
    rescue Grittle::InvalidInput
      nil
    end

    def answered(record, body)
      return if (body.keys - %w[answers moisture_answer version]).any?

      record = record.with(record.answer(body["answers"]), at: 1) if body["answers"]
      body["moisture_answer"] ? record.with(record.moisture(body["moisture_answer"]), at: 1) : record
    end

    def ribbon(record, body)
      made = record.ribbon(entered: body["length"], unit: body["unit"], **body.slice(*RIBBON).compact)
      # Ribbons that the server has not numbered yet are told apart by where they stand.
      named = made.map { |event| event["kind"] == "ribbon" ? event.merge("id" => -record.events.size) : event }
      record.with(named, at: 1)
    end
  end

  # @return [Hash{String=>Object}, nil] see {Preview}
  def self.preview(reading, writes, evidence) = Preview.new(reading, writes).to_h(evidence)
end
