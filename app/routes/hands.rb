# frozen_string_literal: true

module Routes
  # People, and what samples with a laboratory's result say of their hands.
  module Hands
    def self.registered(app)
      app.get "/api/hands" do
        people = fieldbook.observers.order(:name).filter_map do |person|
          samples = person.taught_readings.distinct.count(:sample_id)
          { id: person.id, name: person.name, samples: samples } if samples.positive?
        end
        answer({ people: people })
      end

      app.get "/api/hands/:id" do
        person = fieldbook.observers.find(params[:id])
        answer(Hands.of(person))
      end
    end

    # With what the samples are called.
    # @return [Hash]
    def self.of(person)
      found = person.hand.to_h
      lists = found.slice("pairs", "left_out")
      samples = Sample.where(id: lists.values.flatten.map { |one| one["sample"] }).index_by(&:id)
      lists.transform_values! do |all|
        all.map { |one| one.merge("said" => samples.fetch(one["sample"]).place_name) }
      end
      { "id" => person.id, "name" => person.name, **found, **lists }
    end
  end
end
