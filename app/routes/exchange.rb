# frozen_string_literal: true

module Routes
  # The fieldbook out and in.
  module Exchange
    # Format => what writes it, and the ending of the file.
    FORMATS = {
      "package" => [::Exchange::Package, "zip"], "json" => [::Exchange::JsonBook, "json"],
      "geojson" => [::Exchange::SitesGeojson, "geojson"], "svg" => [::Exchange::ColumnSvg, "svg"],
      "triangle" => [::Exchange::TriangleSvg, "svg"], "pdf" => [::Exchange::FieldSheet, "pdf"],
      "interpretation" => [::Exchange::InterpretationTable, "csv"]
    }.freeze

    # Whoever reads an export slowly holds a thread; files on their way in hold memory.
    EXPORTS = Gate.new("exports", most: 2)
    IMPORTS = Gate.new("files on their way in", most: 1)

    def self.registered(app)
      app.get "/api/export" do
        writer, ending =
          FORMATS.fetch(params["format"]) { raise Grittle::UnknownName.new("format", params["format"], FORMATS.keys) }
        scope = ::Exchange::Scope.new(params["of"] || "fieldbook", params["id"])
        file = ::Exchange::Stream.new(writer.new(scope), EXPORTS)
        headers "content-type" => writer::MEDIA_TYPE, "x-content-type-options" => "nosniff",
                "content-disposition" => ::Exchange::Stream.disposition(scope.name, ending), **file.handing_over(env)
        body file
      end

      app.post "/api/imports" do
        answer ImportSerializer.call(IMPORTS.pass { ::Exchange::Import.open(request.body, params["name"]) }), 201
      end

      app.get("/api/imports/:import_id") { answer ImportSerializer.call(::Exchange::Import.find(params[:import_id])) }

      app.put "/api/imports/:import_id/mapping" do
        import = ::Exchange::Import.find(params[:import_id])
        import.map(input[:targets], unit: input[:unit])
        answer ImportSerializer.call(import)
      end

      app.put "/api/imports/:import_id/people" do
        import = ::Exchange::Import.find(params[:import_id])
        import.tell_apart(input[:others])
        answer ImportSerializer.call(import)
      end

      app.post "/api/imports/:import_id/run" do
        import = ::Exchange::Import.find(params[:import_id])
        import.run
        answer ImportSerializer.call(import)
      end

      app.post "/api/imports/:import_id/cancel" do
        import = ::Exchange::Import.find(params[:import_id])
        import.job.cancel
        answer ImportSerializer.call(import)
      end
    end
  end
end
