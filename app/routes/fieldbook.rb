# frozen_string_literal: true

module Routes
  # Sites, profiles, horizons, and where the work stopped.
  module Fieldbook
    WITH_READINGS = { horizons: [{ readings: [:answers, :ribbons, :assignments, :hand, :pen, { sample: %i[profile horizon] }] }] }.freeze

    def self.registered(app)
      app.get("/api/work") { answer(work: WorkSerializer.call(Work.current)) }

      app.get "/api/sites" do
        sites, page = paged(SiteSearch.new(params).sites.order(:id))
        profiles = Profile.first_of(sites.to_a).includes(:hand, :pen, :site, WITH_READINGS).group_by(&:site_id)
        counts = Profile.where(site: sites.to_a).group(:site_id).count
        answer(sites: sites.map { |site| ProfileSerializer.site(site, profiles[site.id] || [], count: counts[site.id] || 0) }, **page)
      end

      app.get "/api/sites/:id/profiles" do
        site = Site.find(params[:id])
        profiles, page = paged(site.profiles.includes(horizons: { readings: :assignments }))
        answer(site: { id: site.id, name: site.name }, profiles: profiles.map { |profile| ProfileSerializer.line(profile) }, **page)
      end

      app.patch "/api/sites/:id" do
        site = Site.find(params[:id])
        site.change(input[:version], changes)
        answer ProfileSerializer.site(site)
      end

      app.post("/api/sites") { answer ProfileSerializer.site(Site.make(**input)), 201 }

      app.post "/api/sites/:id/profiles" do
        answer ProfileSerializer.call(Profile.make(Site.find(params[:id]), input)), 201
      end

      app.get "/api/profiles/:id" do
        answer ProfileSerializer.call(Profile.includes(WITH_READINGS).find(params[:id]))
      end

      app.patch "/api/profiles/:id" do
        profile = Profile.find(params[:id])
        profile.change(input[:version], changes)
        answer ProfileSerializer.call(profile)
      end

      app.post "/api/profiles/:id/horizons" do
        profile = Profile.find(params[:id])
        Horizon.make(profile, **input)
        answer ProfileSerializer.call(profile), 201
      end

      app.put "/api/profiles/:id/table" do
        profile = Profile.find(params[:id])
        Layers.new(profile).write(input[:rows])
        answer ProfileSerializer.call(profile)
      end

      app.get "/api/profiles/:id/beside/:other_id" do
        answer DescriptionSerializer.beside(*params.values_at(:id, :other_id).map { |id| Profile.includes(WITH_READINGS).find(id) })
      end

      app.post "/api/profiles/:id/undo" do
        profile = Profile.find(params[:id])
        Layers.new(profile).undo
        answer ProfileSerializer.call(profile)
      end

      { "split" => ->(layers, *on, **how) { layers.split(*on, **how) }, "merge" => ->(layers, *on, **) { layers.merge(*on) },
        "boundary" => ->(layers, *on, **how) { layers.move_boundary(*on, **how) } }.each do |name, change|
        app.post "/api/horizons/:id/#{name}" do
          horizon = Horizon.find(params[:id])
          change.call(Layers.new(horizon.profile), horizon, input[:version], **changes)
          answer ProfileSerializer.call(horizon.profile)
        end
      end

      app.patch "/api/horizons/:id" do
        horizon = Horizon.find(params[:id])
        horizon.change(input[:version], changes)
        answer ProfileSerializer.call(horizon.profile)
      end
    end
  end
end
