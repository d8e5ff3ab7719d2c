# frozen_string_literal: true

module Routes
  # What belongs to no record: health, words, and verdicts that are not kept.
  module Catalogue
    def self.registered(app)
      # Whether it may be sent work: the database answers and has the schema of this code.
      app.get "/api/ready" do
        ready = Database.ready?
        answer({ ready: ready, schema: Database.version }, ready ? 200 : 503)
      end

      app.get "/api/health" do
        ActiveRecord::Base.connection.execute("SELECT 1")
        answer(status: "ok", rules_version: Grittle::RULES_VERSION)
      end

      app.get "/api/catalogue" do
        cache_control :private, :immutable, max_age: 31_536_000 if params["v"] == CatalogueSerializer.version
        answer CatalogueSerializer.call
      end

      app.get("/api/triangles") { answer CatalogueSerializer.triangles }

      app.post "/api/halvings" do
        halving = Grittle::Halving.new(input[:answers])
        answer(
          low: halving.low,
          high: halving.high,
          middle: halving.middle,
          done: halving.done?,
          estimate: halving.estimate
        )
      end

      app.post("/api/ribbon-measurements") { answer Reading.measure(input).to_h }

      app.post "/api/positions" do
        place = Grittle::Entry::Position.parse(input[:text])
        answer(latitude: place.latitude, longitude: place.longitude, text: place.to_s)
      end

      app.post("/api/positions/here") { answer GpsReceiver.new.position }

      app.post "/api/comparisons" do
        composition = Grittle::Composition.new(**input.slice(*Grittle::Composition::PARTS))
        answer(
          composition: composition.to_h,
          systems: Grittle.compare(composition, **input.except(*Grittle::Composition::PARTS))
        )
      end

      app.post "/api/assessments" do
        observations = input[:observations].deep_stringify_keys
        answer Grittle.assess(observations, **input.except(:observations)).to_h
      end

      app.post "/api/compositions" do
        triangle = Grittle.triangle(input.fetch(:system, "usda"))
        composition = Grittle::Composition.new(**input.except(:system))
        found = triangle.classify(composition).code
        answer(
          composition: composition.to_h,
          class: found,
          neighbours: triangle.neighbours(found),
          distance_to_boundary: triangle.distance_to_boundary(composition),
          near: triangle.near(composition).map(&:code)
        )
      end
    end
  end
end
