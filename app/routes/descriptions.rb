# frozen_string_literal: true

module Routes
  # Samples at depths, what was found on them, and photographs.
  module Descriptions
    PICTURE_HEADERS = {
      "x-content-type-options" => "nosniff",
      "cache-control" => "private, max-age=31536000, immutable",
      "content-security-policy" => "default-src 'none'"
    }.freeze

    # A large picture takes seconds of all cores.
    PICTURES = Gate.new("pictures", most: 1)

    def self.registered(app)
      # A device names what is not numbered yet; whose it is, is asked of the number.
      app.before "/api/photos" do
        params["of_id"] = Delivery.number(params["of_id"]).to_s if params["of_id"].to_s.match?(Uid::FORM)
      end

      app.post "/api/profiles/:id/samples" do
        profile = fieldbook.profiles.find(params[:id])
        Sample.make(profile, input[:samples])
        answer ProfileSerializer.call(profile), 201
      end

      app.patch "/api/samples/:id" do
        sample = fieldbook.samples.standing.find(params[:id])
        sample.change(input[:version], changes)
        answer_sample(sample)
      end

      app.put "/api/samples/:id/place" do
        sample = fieldbook.samples.standing.find(params[:id])
        sample.move(input[:version], place_of(input))
        answer_sample(sample)
      end

      app.post "/api/samples/:id/findings" do
        sample = fieldbook.samples.standing.find(params[:id])
        Finding.make(sample, **input)
        answer_sample(sample, 201)
      end

      app.post "/api/photos" do
        owner = fieldbook.owners(params["of"]).find(params["of_id"])
        photo = PICTURES.pass { Photo.make(owner, request.body.read, **named(params)) }
        answer DescriptionSerializer.photo(photo), 201
      end

      { "picture" => false, "thumb" => true }.each do |name, thumb|
        app.get "/api/photos/:id/#{name}" do
          photo = fieldbook.photos.standing.find(params[:id])
          headers PICTURE_HEADERS
          send_file photo.path(thumb: thumb), type: thumb ? "image/jpeg" : photo.media_type, disposition: :inline
        end
      end

      app.helpers Samples
    end

    # A sample is answered by the profile it belongs to; one that belongs to nothing by itself.
    module Samples
      def named(params) = { name: params["name"], token: params["token"] }

      # @return [Hash] what was named by its number, found in the fieldbook
      def place_of(input)
        owners = { horizon: :horizon_id, profile: :profile_id, site: :site_id }.transform_values { |name| input[name] }
        found = owners.compact.to_h { |kind, id| [kind, fieldbook.public_send(:"#{kind}s").find(id)] }
        found.merge(found[:profile] ? input.slice(:upper_cm, :lower_cm) : {})
      end

      def answer_sample(sample, status = 200)
        answer(sample.place ? ProfileSerializer.call(sample.place) : DescriptionSerializer.sample(sample), status)
      end
    end
  end
end
