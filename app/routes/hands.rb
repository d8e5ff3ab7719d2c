# frozen_string_literal: true

module Routes
  # People, and what samples with a laboratory's result say of their hands.
  module Hands
    def self.registered(app)
      app.get "/api/hands" do
        people = fieldbook.observers.order(:name).filter_map do |person|
          samples = person.taught.count
          practised = Turn.seen(person).count
          next if samples.zero? && practised.zero?

          { id: person.id, name: person.name, samples: samples, practised: practised, in_use: !person.own_hand_id.nil? }
        end
        answer({ people: people })
      end

      app.get "/api/hands/:id" do
        person = fieldbook.observers.find(params[:id])
        answer(Hands.of(person))
      end

      # From now on, or no longer.
      app.post "/api/hands/:id/curve" do
        person = fieldbook.observers.find(params[:id])
        input[:in_use] ? person.switch_on : person.switch_off
        answer(Hands.of(person))
      end

      app.post "/api/hands/:id/left-pairs" do
        person = fieldbook.observers.find(params[:id])
        person.leave_out(input[:pair], input[:reason])
        answer(Hands.of(person))
      end

      app.get("/api/hands/:id/skills") { answer(Skills.new(fieldbook.observers.find(params[:id])).to_h) }
    end

    # With what the samples are called.
    # @return [Hash]
    def self.of(person)
      taught = person.taught
      found = taught.hand.to_h
      names = taught.names
      lists = found.slice("pairs", "left_out").transform_values do |all|
        all.map { |one| one.merge("said" => names.fetch(one["sample"])) }
      end
      { "id" => person.id, "name" => person.name, **found, **lists, **taught.hand.further(taught.duplicates),
        "in_use" => in_use(person.own_hand) }
    end

    def self.in_use(hand)
      hand && { "id" => hand.id, "pairs" => hand.pairs, "made_at" => hand.made_at.iso8601,
                "curve" => hand.numbers["curve"] }
    end
  end
end
