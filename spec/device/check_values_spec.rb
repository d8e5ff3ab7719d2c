# frozen_string_literal: true

require "tempfile"
require_relative "../support/page_core"

# The core's own table-driven specs, with the published values they check against, run in the script of the page.
RSpec.describe PageCore do
  specs = %w[
    assessment consequences/check_values evidence/beside_key evidence/cases entry/position entry/utm
    keys/advice keys/field_grades keys/ribbon_and_rub keys/rolling keys/sand_first keys/short_keys keys/tiers
    methods/field_method names/full_name names/named_class names/region names/written practice/check_values
    profiles/boundaries profiles/comparison profiles/contrast profiles/crumb_test profiles/depths profiles/findings
    profiles/perching profiles/ph profiles/reading_down quantities/composition quantities/silt_limit
    quantities/student_t quantities/units record/record ribbons/curves ribbons/pushed_ribbon ribbons/ribbon_on_photo
    ribbons/ribbon_set tests/catalogue tests/contradictions tests/facts tests/halving tests/moisture_loop
    tests/observations tests/reworking tests/rules_of_thumb tests/steps
  ]

  it "keeps every check value of the core" do
    Tempfile.create(["specs", ".mjs"]) do |file|
      file.write(described_class.specs(specs))
      file.close
      found = described_class.open(file.path) { |core| core.ask("run_specs") }
      expect(found["failed"]).to be_empty
      expect(found["ran"]).to be > 800
    end
  end
end
