# frozen_string_literal: true

# The page's words, and those of the core that it shows, against the glossary.
RSpec.describe "words" do
  # Texts that people read: between tags, and in quotes where there is more than a name.
  def self.page(source)
    bare = source.gsub(/<!--.*?-->/m, "").gsub(%r{^\s*(//|\*|/\*|import ).*$}, "")
    quoted = bare.scan(/"[^"\n]*"|'[^'\n]*'|`[^`]*`/).grep(/[ A-Z]/)
    [*quoted, *bare[/<template>.*/m].to_s.scan(/>[^<>]+</)].join("\n")
  end

  root = File.expand_path("../..", __dir__)
  words =
    File
    .readlines(File.join(root, "docs/glossary.md"))
    .grep(/^\| [^w-]/)
    .flat_map { |line| line.split("|")[4].strip.split("; ") }
  texts =
    Dir[File.join(root, "web/src/**/*.{vue,ts}")]
    .reject { |path| path.end_with?(".spec.ts", "schema.ts") }
    .to_h { |path| [path.delete_prefix("#{root}/"), page(File.read(path))] }
  texts["what the core says"] = JSON.pretty_generate([CatalogueSerializer.call, CatalogueSerializer.triangles]).gsub(
    /"(name|value|id)": "[a-z_]*"/,
    ""
  )

  it "are those of the glossary" do
    expect(words.size).to be > 40
    found = texts.flat_map do |place, text|
      words
        .select { |word| text.match?(/(?<![\w-])#{Regexp.escape(word)}(?![\w-])/) }
        .map { |word| "#{place}: #{word}" }
    end
    expect(found).to eq []
  end
end
