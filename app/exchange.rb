# frozen_string_literal: true

require "cgi"
require_relative "trouble"

# The fieldbook on its way out and in.
module Exchange
  # Of the package and of the JSON; files of another are refused.
  VERSION = "1"
end

require_relative "exchange/traces"
require_relative "exchange/tables"
require_relative "exchange/scope"
require_relative "exchange/rows"
require_relative "exchange/looks"
require_relative "exchange/cells"
require_relative "exchange/package"
require_relative "exchange/json_book"
require_relative "exchange/sites_geojson"
require_relative "exchange/stream"
require_relative "exchange/drawing"
require_relative "exchange/column_svg"
require_relative "exchange/triangle_svg"
require_relative "exchange/field_sheet"
require_relative "exchange/interpretation_table"
require_relative "exchange/problems"
require_relative "exchange/unpacked"
require_relative "exchange/table_rows"
require_relative "exchange/row_checks"
require_relative "exchange/earlier"
require_relative "exchange/fieldbook_import"
require_relative "exchange/csv_text"
require_relative "exchange/authority_table"
require_relative "exchange/laboratory_table"
require_relative "exchange/tub_table"
require_relative "exchange/custody_sheet"
require_relative "exchange/horizon_table"
require_relative "exchange/site_points"
require_relative "exchange/import_file"
require_relative "exchange/import"
require_relative "exchange/import_queue"
