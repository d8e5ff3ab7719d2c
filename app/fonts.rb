# frozen_string_literal: true

# The typeface of everything that is printed, with the application's own files.
module Fonts
  FAMILY = "Atkinson Hyperlegible Next"
  FOLDER = File.expand_path("fonts", __dir__)
  FILES = {
    normal: "AtkinsonHyperlegibleNext_400Regular.ttf", bold: "AtkinsonHyperlegibleNext_700Bold.ttf",
    italic: "AtkinsonHyperlegibleNext_400Regular_Italic.ttf"
  }.transform_values { |file| File.join(FOLDER, file) }.freeze

  # @param pdf [Prawn::Document]
  # @param size [Numeric] pt
  def self.into(pdf, size:)
    pdf.font_families.update(FAMILY => FILES)
    pdf.font(FAMILY, size: size)
  end
end
