# frozen_string_literal: true

module Routes
  # Deleting, and the bin that everything deleted lies in until it is emptied by hand.
  module Bin
    def self.registered(app)
      app.get "/api/deletions" do
        deletions, page = paged(fieldbook.deletions.standing.order(id: :desc).preload(:by))
        answer(deletions: deletions.map { |deletion| DeletionSerializer.call(deletion) }, **page)
      end

      app.get "/api/deletions/preview" do
        answer DeletionSerializer.preview(Deletion.find_in(fieldbook, params["of"], params["of_id"]))
      end

      app.post "/api/deletions" do
        answer DeletionSerializer.call(Deletion.make(fieldbook, input[:of], input[:of_id])), 201
      end

      app.post "/api/deletions/:id/restore" do
        deletion = fieldbook.deletions.find(params[:id])
        deletion.restore
        answer DeletionSerializer.call(deletion)
      end

      app.delete "/api/deletions/:id" do
        deletion = fieldbook.deletions.find(params[:id])
        deletion.empty
        answer DeletionSerializer.call(deletion.reload)
      end

      app.delete "/api/deletions" do
        gone = fieldbook.deletions.standing.order(:id).to_a
        # What lies inside another that was emptied is gone with it.
        gone.each { |deletion| deletion.empty if deletion.reload.standing? }
        answer(emptied: gone.size)
      end

      app.get "/api/file-imports" do
        imports, page = paged(fieldbook.file_imports.order(id: :desc))
        answer(imports: imports.map { |import| DeletionSerializer.import(import) }, **page)
      end
    end
  end
end
