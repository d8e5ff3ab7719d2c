# frozen_string_literal: true

module Routes
  # A fieldbook as a device keeps it, and what the device brings back.
  module Device
    def self.registered(app)
      app.get "/api/mirror" do
        profile = params["profile"] && fieldbook.profiles.find(params["profile"])
        reading = params["reading"] && fieldbook.readings.find(params["reading"])
        answer Mirror.new(fieldbook, profile: profile, reading: reading).to_h(params["have"])
      end

      app.post "/api/deliveries" do
        delivery = Delivery.new(env, device: input[:device], clock: time_of(input[:clock]))
        answer(results: delivery.take(input[:events]), now: Time.now.utc.iso8601(3))
      end
    end
  end
end
