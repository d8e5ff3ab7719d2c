# frozen_string_literal: true

module Routes
  # What a surveyor does to their own things only, and a lead to nobody else's reading either: a correction of
  # somebody's reading is a reading of one's own.
  module OwnThings
    WRITES = %w[POST PUT PATCH DELETE].freeze
    CORRECTIONS = "%s's reading stays as it is. Texture it yourself: a correction is a reading of your own."
    OTHERS = "Readings of others hang on it: only a lead deletes it."

    def self.registered(app)
      ["/api/readings/:id", "/api/readings/:id/*"].each { |pattern| app.before(pattern) { own_reading! if write? } }
      app.before("/api/photos") { own_photo! if write? }
      app.before("/api/deletions") { own_deletion! if write? }
      app.before("/api/horizons/:id") { own_choice! if write? }
      ["/api/samples/:id", "/api/samples/:id/place"].each { |pattern| app.before(pattern) { own_sample! if write? } }
      app.before("/api/hands/:id/*") { own_hand! if write? }
      app.helpers Whose
    end

    # Who asks, and whose it is. Who works alone may all of it.
    module Whose
      def write? = WRITES.include?(request.request_method) && !Acting.person.nil?
      def lead? = Acting.role == "lead"

      def own_reading! = own!(fieldbook.on_bench.find(params[:id].to_i))

      def own_photo!
        own!(fieldbook.on_bench.find(params["of_id"].to_i)) if params["of"] == "reading"
      end

      # A palmful is named and placed by who textured it.
      def own_sample!
        readings = fieldbook.samples.find(params[:id].to_i).readings.to_a
        own!(readings.first) unless readings.empty? || lead? || readings.any? { |one| one.of?(Acting.person) }
      end

      def own!(reading)
        return if reading.of?(Acting.person)

        whose = (reading.textured_by || reading.recorded_by || reading.begun_by).name
        refuse Problem.new(403, format(CORRECTIONS, whose))
      end

      def own_deletion!
        return if lead? || !request.post?

        record = Deletion.find_in(fieldbook, input[:of], input[:of_id])
        readings = Contents.new(record).ids[:readings]
        readings |= [record.of_id] if record.is_a?(Photo) && record.of == "reading"
        refuse Problem.new(403, OTHERS) unless Reading.where(id: readings).all? { |one| one.of?(Acting.person) }
      end

      def own_choice!
        return unless input.key?(:reported_reading_id) && !lead?

        refuse Problem.new(403, "Which reading is reported, a lead decides.")
      end

      def own_hand!
        person = fieldbook.observers.find(params[:id])
        return if person == Acting.person || (lead? && person.account.nil?)

        refuse Problem.new(403, "#{person.name} decides what #{person.name}'s hand is learnt from.")
      end
    end
  end
end
