# frozen_string_literal: true

RSpec.describe "The whole job" do
  # Designation, lower depth, ribbons in mm, what the wet rub says, and the class that the flow key comes to.
  HORIZONS = [ # rubocop:disable RSpec/LeakyConstantDeclaration, Lint/ConstantDefinitionInBlock -- one table
    ["A", 20, [18, 17], "Neither gritty nor smooth", "loam"],
    ["E", 35, [16, 15], "Very gritty", "sandy loam"],
    ["Bt", 70, [62, 60], "Neither gritty nor smooth", "clay"],
    ["C", 110, [36, 35], "Very smooth", "silty clay loam"]
  ].freeze

  # By mouse, or by a finger: nothing is hovered, and each target must be under the finger.
  presses = {
    "by mouse at the desk" => [Browser::DESK, :click.to_proc],
    "by touch on a phone" => [Browser::PHONE, lambda { |element, page|
      page.execute_script("arguments[0].scrollIntoView({ block: 'center' })", element)
      x, y = page.evaluate_script(<<~JS, element)
        (({ x, y, width, height }) => [x + width / 2, y + height / 2])(arguments[0].getBoundingClientRect())
      JS
      touch = lambda do |type, points|
        page.driver.browser.execute_cdp("Input.dispatchTouchEvent", type: type, touchPoints: points)
      end
      touch["touchStart", [{ x: x, y: y }]]
      touch["touchEnd", []]
    }]
  }

  presses.each do |how, (size, press)|
    it "from an empty fieldbook to the export, four horizons textured and described, #{how}" do
      at_size(*size)
      push = lambda do |*name, **more|
        element = name.first.is_a?(Capybara::Node::Element) ? name.first : find(:link_or_button, *name, **more)
        press.arity == 2 ? press.call(element, page) : press.call(element)
      end
      visit "/"
      push["Add the first site"]
      fill_in "Name", with: "Low Meadow"
      push["Add the site"]
      push["Open the profile"]
      push["Add the first horizon"]
      HORIZONS.each_with_index do |(designation, lower, *), place|
        fill_in "Designation", with: designation
        fill_in "Lower depth", with: lower
        push[place == HORIZONS.size - 1 ? "Add the horizon" : "Add, then another"]
        expect(page).to have_text("#{designation} is added.") unless place == HORIZONS.size - 1
      end
      expect(page).to have_css("[data-horizon='C']")
      push["Texture A"]
      HORIZONS.each_with_index do |(_, _, lengths, rub, name), place|
        push["Already kneaded: ball"] if place.zero?
        push[find("[data-test='ball_holds'] button", text: "Yes")]
        lengths.each_with_index do |mm, at|
          mm.to_s.chars.each do |digit|
            push[find("[aria-label^='Length of ribbon'] button", text: digit, exact_text: true)]
          end
          push["Add ribbon #{at + 1}"]
          expect(page).to have_css("figure svg[aria-label*='#{mm} mm']")
        end
        push["Next: rub a pinch"]
        push[find("[data-test='wet_rub'] button", text: rub)]
        push[find(:button, text: /\AAssign #{name}\b\s*\d?\z/)]
        expect(page).to have_css("[data-assigned]", text: name)
        push[place == HORIZONS.size - 1 ? "See the section" : "Go on with #{HORIZONS[place + 1].first}"]
      end
      HORIZONS.each { |designation, *, name| expect(page).to have_css("[data-horizon='#{designation}']", text: name) }
      push["Describe A"]
      push[find("nav[aria-label='What is described'] button", text: "Structure")]
      HORIZONS.each_with_index do |(designation, *), place|
        expect(page).to have_css("h1", text: designation)
        push[find("[role='group'][aria-label='Structure'] button", text: "Moderate")]
        expect(page).to have_css("[data-saved]", text: "Saved")
        push[find("footer a", text: HORIZONS[place + 1].first)] if HORIZONS[place + 1]
      end
      push[find("header a")]
      within("header") { push["More"] }
      push["Export"]
      expect(page).to have_link(text: "Package", href: %r{/api/export\?format=package&of=profile})
      profile = Profile.last
      expect(profile.horizons.map { |layer| [layer.class_given.name, layer.seen["structure_grade"]] })
        .to eq(HORIZONS.map { |*, name| [name, "moderate"] })
    end
  end
end
