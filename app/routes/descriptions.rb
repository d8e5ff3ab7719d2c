# frozen_string_literal: true

module Routes
  # Samples at depths, what was found on them, and photographs.
  module Descriptions
    PICTURE_HEADERS = { "x-content-type-options" => "nosniff", "cache-control" => "private, max-age=31536000, immutable",
                        "content-security-policy" => "default-src 'none'" }.freeze

    def self.registered(app)
      app.post "/api/profiles/:id/samples" do
        profile = Profile.find(params[:id])
        Sample.take(profile, input[:samples])
        answer ProfileSerializer.call(profile), 201
      end

      app.patch "/api/samples/:id" do
        sample = Sample.standing.find(params[:id])
        sample.change(input[:version], changes)
        answer ProfileSerializer.call(sample.profile)
      end

      app.delete "/api/samples/:id" do
        sample = Sample.standing.find(params[:id])
        sample.remove(params["version"].to_i)
        answer ProfileSerializer.call(sample.profile)
      end

      app.post "/api/samples/:id/findings" do
        sample = Sample.standing.find(params[:id])
        Finding.add(sample, **input)
        answer ProfileSerializer.call(sample.profile), 201
      end

      app.post "/api/photos" do
        owner = Photo::OWNERS.fetch(params["of"]) { raise Grittle::UnknownName.new("of", params["of"], Photo::OWNERS.keys) }
        photo = Photo.add(Object.const_get(owner).find(params["of_id"]), request.body.read, name: params["name"])
        answer DescriptionSerializer.photo(photo), 201
      end

      { "picture" => false, "thumb" => true }.each do |name, thumb|
        app.get "/api/photos/:id/#{name}" do
          photo = Photo.standing.find(params[:id])
          headers PICTURE_HEADERS
          send_file photo.path(thumb: thumb), type: thumb ? "image/jpeg" : photo.media_type, disposition: :inline
        end
      end

      app.delete "/api/photos/:id" do
        photo = Photo.standing.find(params[:id])
        photo.update!(removed_at: Time.now.utc)
        answer DescriptionSerializer.photo(photo)
      end
    end
  end
end
