# frozen_string_literal: true

RSpec.describe "On a phone, by touch alone" do
  before { at_size(*Browser::PHONE) }

  # A finger, not a mouse: nothing is hovered, and each target must be under the finger.
  def tap(element)
    element = find_button(element, match: :first) if element.is_a?(String)
    page.execute_script("arguments[0].scrollIntoView({ block: 'center' })", element)
    box =
      page.evaluate_script(
        "(({ x, y, width, height }) => [x + width / 2, y + height / 2])(arguments[0].getBoundingClientRect())",
        element
      )
    point = { x: box[0], y: box[1] }
    chromium.execute_cdp("Input.dispatchTouchEvent", type: "touchStart", touchPoints: [point])
    chromium.execute_cdp("Input.dispatchTouchEvent", type: "touchEnd", touchPoints: [])
  end

  def pad(*digits) = digits.each { |digit| tap(find_button(digit.to_s, exact: true)) }

  it "takes a horizon from its ball to its class and on to the section" do
    profile = profile_with(["Bt", 0, 40])
    visit "/"
    tap(find("button", text: "Continue"))
    expect(page).to have_css("h1", text: "Ready the sample")
    tap "Next: wet and knead"
    tap(find("[data-test='mould_feel'] button", text: "Stiff"))
    tap "Next: squeeze a ball"
    tap(find("[data-test='ball_holds'] button", text: "Yes"))
    pad 7, 1
    tap(find("button[aria-label^='It ended: Broke']"))
    expect(page).to have_css("button[aria-label^='It ended: Folded']")
    tap "Add ribbon 1"
    expect(page).to have_css("figure svg[aria-label*='71 mm, folded']")
    tap(find("button[aria-label^='Unit: mm']"))
    expect(page).to have_css("button[aria-label^='Unit: cm']")
    pad 6
    tap(find_button("Point"))
    pad 8
    tap "Add ribbon 2"
    expect(page).to have_css("figure svg[aria-label*='7.1 cm, folded; 6.8 cm, broke']")

    tap(find("button[aria-haspopup='dialog']"))
    expect(page).to have_css("[role='dialog'] section", text: "3 classes possible").or have_css(
      "[role='dialog'] section",
      text: "sandy clay, clay, silty clay"
    )
    tap(find("[role='dialog'] button[aria-label='Close']"))
    expect(page).to have_no_css("[role='dialog']")
    tap "Next: rub a pinch"
    tap(find("[data-test='wet_rub'] button", text: "Very gritty"))
    tap(find("button", text: "Assign sandy clay"))
    expect(page).to have_css("[data-assigned]", text: "sandy clay")
    tap "See the section"
    expect(page).to have_css("[data-horizon='Bt']", text: "sandy clay")
    expect(profile.horizons.first.class_given.code).to eq "SC"
  end

  it "keeps the pad of the ribbon in one screen, above the next step" do
    visit "/readings/#{push(begin_reading, 52, 57, 49)['id']}"
    tap(find("nav[aria-label='Steps of this reading'] li:nth-child(4) button"))
    page.execute_script("window.scrollTo(0, 0)")
    bottom = "(all) => Math.max(...all.map((one) => one.getBoundingClientRect().bottom))"
    pad = "[...document.querySelectorAll('[aria-label^=\"Length of ribbon\"] button, output')]"
    lowest = page.evaluate_script("(#{bottom})(#{pad})")
    next_key = all("button", text: /\ANext/).last
    bar = page.evaluate_script("arguments[0].getBoundingClientRect().top", next_key)
    expect(lowest).to be <= bar
  end
end
