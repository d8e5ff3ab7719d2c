# frozen_string_literal: true

module Routes
  # Reports for a client or an authority, and the title block they begin with.
  module Reports
    OWNERS = { "profile_id" => :profile, "site_id" => :site }.freeze
    LOGO_PX = 640

    # A report of many profiles takes a processor for seconds.
    PRINTS = Gate.new("reports", most: 2)

    def self.registered(app)
      app.get "/api/reports" do
        asked = fieldbook.reports.preload(:profile, :site).order(id: :desc)
        OWNERS.each_key { |name| asked = asked.where(name => params[name]) if params[name] }
        found, page = paged(asked)
        answer(reports: found.map { |report| ReportSerializer.line(report) }, **page)
      end

      app.post "/api/reports" do
        owner = OWNERS.to_h { |name, kind| [kind, input[name.to_sym]] }.compact
        owner = owner.to_h { |kind, id| [kind, fieldbook.public_send(:"#{kind}s").find(id)] }
        answer ReportSerializer.call(Report.make(fieldbook, owner, input[:asked] || {})), 201
      end

      app.get("/api/reports/:id") { answer ReportSerializer.call(fieldbook.reports.find(params[:id])) }

      app.patch "/api/reports/:id" do
        report = fieldbook.reports.find(params[:id])
        report.change(input[:version], input[:asked])
        answer ReportSerializer.call(fieldbook.reports.find(report.id))
      end

      app.post "/api/reports/:id/freeze" do
        report = fieldbook.reports.find(params[:id])
        report.freeze_now(input[:version])
        answer ReportSerializer.call(fieldbook.reports.find(report.id))
      end

      app.get "/api/reports/:id/pdf" do
        report = fieldbook.reports.find(params[:id])
        file = PRINTS.pass { ::Reports::Pdf.new(report).render }
        headers "content-type" => ::Reports::Pdf::MEDIA_TYPE, "x-content-type-options" => "nosniff",
                "content-disposition" => ::Exchange::Stream.disposition(report.name, "pdf")
        body file
      end

      # The picture as it was, also when the photograph was deleted since.
      app.get "/api/reports/:id/photos/:digest" do
        report = fieldbook.reports.find(params[:id])
        photo = ::Reports::Content.photo(report.said, params[:digest])
        raise ActiveRecord::RecordNotFound unless photo && File.exist?(photo.path)

        headers Descriptions::PICTURE_HEADERS
        send_file photo.path, type: photo.media_type, disposition: :inline
      end

      title_block(app)
      app.helpers TitleBlock
    end

    # Whoever reports: a name, further lines, and a logo from any picture, kept small and bare.
    def self.title_block(app)
      app.get("/api/title-block") { answer_title_block }

      app.put "/api/title-block" do
        fieldbook.entitle(**input.slice(:name, :lines))
        answer_title_block
      end

      app.get "/api/title-block/logo" do
        headers "content-type" => "image/png", "x-content-type-options" => "nosniff", "cache-control" => "no-store",
                "content-security-policy" => "default-src 'none'"
        body fieldbook.logo_kept || raise(ActiveRecord::RecordNotFound)
      end

      app.post "/api/title-block/logo" do
        fieldbook.keep_logo(Photo.small(request.body.read, LOGO_PX))
        answer_title_block
      end

      app.delete "/api/title-block/logo" do
        fieldbook.keep_logo(nil)
        answer_title_block
      end
    end
    private_class_method :title_block

    # What the page shows of it.
    module TitleBlock
      def answer_title_block = answer({ **fieldbook.title_block, logo: !fieldbook.logo_kept.nil? })
    end
  end
end
