# frozen_string_literal: true

module Routes
  # Sites, profiles, horizons, and where the work stopped.
  module Fieldbook
    # Sites on a page, each with its first profiles and their horizons: about 2 kB a site.
    SITES = 30

    def self.registered(app)
      app.get("/api/work") { answer(work: WorkSerializer.call(Work.current(fieldbook))) }

      app.get "/api/sites" do
        ids, page = SiteSearch.new(params, fieldbook).page(asked_page, SITES)
        answer_kept(["sites", ids, page], Stamp.sites(ids)) do
          { sites: ProfileSerializer.sites(fieldbook.sites.find(ids)), **page }
        end
      end

      app.get "/api/sites/:id/profiles" do
        site = fieldbook.sites.find(params[:id])
        profiles, page = paged(site.profiles.preload(:horizons))
        answer(
          site: {
            id: site.id,
            name: site.name
          },
          profiles: profiles.map { |profile| ProfileSerializer.line(profile) },
          **page
        )
      end

      app.patch "/api/sites/:id" do
        site = fieldbook.sites.find(params[:id])
        site.change(input[:version], changes)
        answer ProfileSerializer.sites([site]).first
      end

      app.post("/api/sites") { answer ProfileSerializer.sites([Site.make(**input)]).first, 201 }

      app.post "/api/sites/:id/profiles" do
        answer ProfileSerializer.call(Profile.make(fieldbook.sites.find(params[:id]), input)), 201
      end

      app.post "/api/sites/:id/move" do
        before = input[:before] && fieldbook.sites.find(input[:before])
        site = fieldbook.sites.find(params[:id])
        site.move(before) unless site == before
        answer ProfileSerializer.sites([site.reload]).first
      end

      app.post "/api/profiles/:id/duplicate" do
        answer ProfileSerializer.call(fieldbook.profiles.find(params[:id]).duplicate(input[:name])), 201
      end

      app.get("/api/settings") { answer fieldbook.defaults }

      app.put "/api/settings" do
        fieldbook.set(input)
        answer fieldbook.defaults
      end

      app.get "/api/profiles/:id" do
        found = -> { fieldbook.profiles.preload(Profile::WITH_READINGS).find(params[:id]) }
        stamp = Stamp.profile(params[:id].to_i)
        stamp ? answer_kept(["profile", params[:id].to_i], stamp) { ProfileSerializer.call(found.call) } : found.call
      end

      app.patch "/api/profiles/:id" do
        profile = fieldbook.profiles.find(params[:id])
        profile.change(input[:version], changes)
        answer ProfileSerializer.call(profile)
      end

      app.post "/api/profiles/:id/horizons" do
        profile = fieldbook.profiles.find(params[:id])
        Horizon.make(profile, **input)
        answer ProfileSerializer.call(profile), 201
      end

      app.put "/api/profiles/:id/table" do
        profile = fieldbook.profiles.find(params[:id])
        Layers.new(profile).write(input[:rows])
        answer ProfileSerializer.call(profile)
      end

      app.get "/api/profiles/:id/beside/:other_id" do
        answer DescriptionSerializer.beside(*params.values_at(:id, :other_id).map do |id|
          fieldbook.profiles.preload(Profile::WITH_READINGS).find(id)
        end)
      end

      app.post "/api/profiles/:id/undo" do
        profile = fieldbook.profiles.find(params[:id])
        Layers.new(profile).undo
        answer ProfileSerializer.call(profile)
      end

      {
        "split" => ->(layers, *on, **how) { layers.split(*on, **how) },
        "merge" => ->(layers, *on, **) { layers.merge(*on) },
        "boundary" => ->(layers, *on, **how) { layers.move_boundary(*on, **how) }
      }.each do |name, change|
        app.post "/api/horizons/:id/#{name}" do
          horizon = fieldbook.horizons.find(params[:id])
          change.call(Layers.new(horizon.profile), horizon, input[:version], **changes)
          answer ProfileSerializer.call(horizon.profile)
        end
      end

      app.patch "/api/horizons/:id" do
        horizon = fieldbook.horizons.find(params[:id])
        horizon.change(input[:version], changes)
        answer ProfileSerializer.call(horizon.profile)
      end
    end
  end
end
