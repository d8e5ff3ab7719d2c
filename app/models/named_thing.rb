# frozen_string_literal: true

# Any record as a person calls it, and what it belongs to.
class NamedThing
  # @param record [Site, Profile, Horizon, Sample, Reading, Photo, CompanionTest, AssessorTable, Report, FileImport]
  def initialize(record)
    @record = record
  end

  # @return [String]
  def label
    case @record
    when Site, Profile, CompanionTest, AssessorTable, Report then @record.name
    when Horizon then "#{@record.designation}, #{@record.depths}"
    when Sample then sample(@record)
    when Reading then [@record.name, @record.class_given&.full_name || "no class yet"].join(", ")
    when Photo then @record.caption || "Photograph"
    when FileImport then @record.name_or_file
    end
  end

  # @return [String, nil] where it is
  def within = ([owner && NamedThing.new(owner).label] + [site&.name]).compact.uniq.without(label).join(", ").presence

  # @return [Profile, nil] that its change is seen in
  def profile
    case @record
    when Profile then @record
    when Horizon, Reading, CompanionTest, Report then @record.profile
    when Sample then @record.place
    end
  end

  # @return [String, nil] what it belongs to, where that lies in the bin or was taken away
  def home = above.find { |one| gone?(one) }&.then { |one| NamedThing.new(one).label }

  private

  # @return [Array<ApplicationRecord>] all that it belongs to, the nearest first
  def above = owner ? [owner, *NamedThing.new(owner).send(:above)] : []

  def owner
    case @record
    when Profile then @record.site
    when Horizon then @record.profile
    when CompanionTest, Report then @record.owner
    when Sample then @record.horizon || @record.profile || @record.site
    when Reading then @record.horizon || @record.sample.profile || @record.sample.site
    when Photo then Object.const_get(Photo::OWNERS.fetch(@record.of)).find_by(id: @record.of_id)
    end
  end

  def site = [@record, *above].grep(Site).first
  def gone?(one) = one.deletion_id || (one.is_a?(Horizon) && one.removed_at)

  def sample(one)
    depth = one.depth_text if one.upper_cm
    [one.label || Sample::KINDS.fetch(one.kind), depth].compact.join(", ")
  end
end
