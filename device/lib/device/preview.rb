# frozen_string_literal: true

# What the page asks of Ruby: see device/lib/bench.rb.
module Device
  # What follows for a reading from writes that are still on their way, before the server has said so: by the same
  # record, from what the server said last.
  class Preview
    # Answers that the record makes of other things.
    MADE = %w[ribbons moisture_rounds].freeze
    # What the page may change of a reading and what follows of it here. Another person has another hand.
    METHOD = Grittle::FieldMethod::NAMES.map(&:to_s)
    ANSWERED = [*METHOD, "answers", "moisture_answer", "kept", "version"].freeze
    RIBBON = %w[length_mm thickness_mm width_mm working_minute reading_error_mm carried_own_weight ended].freeze

    # @param reading [Hash{String=>Object}] schema Reading
    # @param writes [Array<Hash>] "method", "path" and "body", as they wait
    def initialize(reading, writes)
      @reading = reading
      @writes = writes
      @record = writes.reduce(record) { |so_far, write| taken(so_far, write) || (break nil) }
    end

    # @return [Boolean] whether it was made of these
    def of?(reading, writes) = @reading == reading && @writes == writes

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

    # @return [Grittle::Record, nil] with one write more
    def taken(record, write)
      body = write["body"] || {}
      case "#{write['method']} #{write['path']}"
      when %r{^PUT .*/place$} then record
      when %r{^PATCH .*/readings/\d+$} then answered(record, body)
      when %r{^POST .*/ribbons$} then pushed_to(record, body)
      when %r{^PATCH .*/ribbons/(\d+)$} then pushed_to(record, body, corrects: ::Regexp.last_match(1).to_i)
      when %r{^DELETE .*/ribbons/(\d+)$} then more(record, record.take_back(::Regexp.last_match(1).to_i))
      end
    rescue Grittle::InvalidInput
      nil
    end

    def answered(record, body)
      return if (body.keys - ANSWERED).any?

      method = body.slice(*METHOD).transform_keys(&:to_sym)
      record = Grittle::Record.new(record.events, method: record.method.with(**method)) unless method.empty?
      record = more(record, record.answer(body["answers"])) if body["answers"]
      record = more(record, record.moisture(body["moisture_answer"])) if body["moisture_answer"]
      body["kept"] ? more(record, record.keep(body["kept"]["rule"], body["kept"]["reason"])) : record
    end

    # Ribbons that the server has not numbered yet are told apart by where they stand.
    def pushed_to(record, body, corrects: nil)
      made = record.ribbon(
        entered: body["length"],
        unit: body["unit"],
        corrects: corrects,
        **body.slice(*RIBBON).compact
      )
      more(record, made.map { |event| event["kind"] == "ribbon" ? event.merge("id" => -record.events.size) : event })
    end

    def more(record, events) = record.with(events, at: 1)
  end

  # The newest is kept: the same is asked twice, for the keys and then for the estimate.
  # @return [Hash{String=>Object}, nil] see {Preview}
  def self.preview(reading, writes, evidence)
    @preview = Preview.new(reading, writes) unless @preview&.of?(reading, writes)
    @preview.to_h(evidence)
  end
end
