# frozen_string_literal: true

module Routes
  # Tables of the assessor's own authority.
  module AssessorTables
    def self.registered(app)
      app.get "/api/assessor-tables" do
        # A relation of its own: what the fieldbook itself has loaded would stay as it was.
        tables = fieldbook.assessor_tables.order(:id)
        answer(tables: tables.map { |one| AssessorTables.line(one) })
      end

      app.post "/api/assessor-tables" do
        rows = ::Exchange::AuthorityTable.rows(input[:csv])
        answer AssessorTables.line(AssessorTable.make(fieldbook, input.merge(rows: rows))), 201
      end

      app.get "/api/assessor-tables/template" do
        headers "content-type" => "text/csv; charset=utf-8",
                "content-disposition" => 'attachment; filename="assessor-table.csv"'
        body ::Exchange::AuthorityTable.template
      end
    end

    # @return [Hash] schema AssessorTable
    def self.line(table)
      { id: table.id, name: table.name, authority: table.authority, dated_on: table.dated_on, limiting: table.limiting,
        rows: table.rows.size }
    end
  end
end
