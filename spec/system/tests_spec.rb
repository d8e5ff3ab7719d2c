# frozen_string_literal: true

RSpec.describe "The place of the tests" do
  before { visit "/tests" }

  it "has a drawing of every answer of every test" do
    expect(page).to have_css("article[data-test]", count: Grittle::Tests::Vocabulary::ALL.size)
    Grittle::Tests::Catalogue::TESTS.each do |name, test|
      within("article[data-test='#{name}']") do
        expect(page).to have_css(
          "svg[width='#{test[:answers].empty? ? 144 : 120}']",
          minimum: [test[:answers].size, 1].max
        )
      end
    end
    expect(page).to have_text("Over the second knuckle.").and have_text("Off the side of the finger.")
  end

  it "shows what one school asks for" do
    find("[role='radio']", text: "Rolling").click
    expect(page).to have_css("article[data-test]", count: Grittle::Keys::Rolling::ASKS.size)
  end

  it "is matched to a card, and then draws rolls and grains at that size" do
    expect(page).to have_text("This screen has not been matched yet")
    roll = -> { first("article[data-test='plasticity'] li:nth-child(2) svg path")[:d] }
    before = roll.call
    click_button "Match this screen to a card"
    10.times { click_button "Wider" }
    click_button "It fits"
    expect(page).to have_text("This screen has been matched to a card")
    expect(roll.call).not_to eq before
    expect(page.evaluate_script("Number(localStorage.getItem('grittle.px-per-mm'))")).to be_within(0.011).of(
      (96 / 25.4) + 0.2
    )
    click_button "Forget the match"
    expect(roll.call).to eq before
  end
end
