# frozen_string_literal: true

require "pdf-reader"

RSpec.describe Exchange::FieldSheet do
  before { Demo.load }

  def text_of(scope)
    PDF::Reader.new(StringIO.new(described_class.new(scope).render)).pages.map { |page| page.text.gsub(/\s+/, " ") }
  end

  let(:profile) { Profile.find_by!(name: "Tare 1") }
  let(:pages) { text_of(Exchange::Scope.new("profile", profile.id)) }

  it "says of every reading how its class was reached, by whom, when, and by which rules" do
    said = pages.join(" ")
    expect(said).to include(
      "Textured by Maren, recorded by Tobe",
      "47°55'04.8\"N",
      "BC: clay, not the one reported",
      "textured by Ilka"
    )
    expect(said).to include("Not the key's class: Weak ribbons that only just hold")
    profile.horizons.flat_map(&:readings).each do |reading|
      expect(said).to include(*reading.assessment.main["path"].map { |step| step["text"] })
      next unless reading.ribbons.any?

      expect(said).to include(
        "Ribbons #{reading.record.ribbons.map { |ribbon| ribbon['length_mm'].round }.join(', ')} mm"
      )
    end
    expect(said).to include(Grittle::Keys::RibbonAndRub::SOURCE[0, 40], "rules #{Grittle::RULES_VERSION}",
                            Time.now.utc.strftime("%Y-%m-%d"))
  end

  it "holds the table, the samples, what is read down the profile, and the cautions" do
    said = pages.join(" ")
    expect(said).to include("pH 5.5, strongly acid", "crumb class 1 to 2 still possible, dispersive",
                            "Meets the clay-increase test for a Bt",
                            "consistent with clay moved down")
    expect(said).to include("7.5YR 4/4, Few", "Hand texture is an estimate", "never enter an excavation")
    expect(pages.map { |page| page[/Page \d+ of \d+/] }).to eq(
      pages.each_index.map { |at| "Page #{at + 1} of #{pages.size}" }
    )
  end

  it "holds every profile of the book, and says so when there is none" do
    expect(text_of(Exchange::Scope.new("fieldbook")).join(" ")).to include(
      "Tare 1",
      "Tare 2",
      "Sallow 1",
      "Cutting",
      "not textured"
    )
    expect(text_of(Exchange::Scope.new("site", Site.make(name: "Empty").id))).to match [/There is no profile yet/]
  end
end
