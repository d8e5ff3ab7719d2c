# frozen_string_literal: true

# Reports as the page sees them. Renders only.
module ReportSerializer
  module_function

  # @param report [Report]
  # @return [Hash] schema Report
  def call(report)
    { **line(report), asked: report.asked, content: report.said, changed: report.changes_since,
      rules_now: Grittle::RULES_VERSION }
  end

  # @param report [Report]
  # @return [Hash] schema ReportLine
  def line(report)
    { id: report.id, version: report.lock_version, name: report.name, of: report.profile_id ? "profile" : "site",
      of_id: report.profile_id || report.site_id, rules_version: report.rules_version,
      made_at: report.created_at.iso8601, frozen_at: report.frozen_at&.iso8601 }
  end
end
