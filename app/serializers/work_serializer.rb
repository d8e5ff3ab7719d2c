# frozen_string_literal: true

# Where the work stopped, in words for the button that goes on with it.
module WorkSerializer
  module_function

  # @param work [Work, nil]
  # @return [Hash, nil] schema Work
  def call(work)
    work && { reading_id: work.reading&.id, horizon_id: work.horizon&.id, profile_id: work.horizon&.profile_id,
              title: title(work), detail: detail(work), step: work.reading&.step }
  end

  def title(work)
    return work.reading.sample.label || "Quick reading" unless work.horizon

    "#{work.horizon.profile.name}, #{work.horizon.designation}"
  end

  def detail(work)
    step = work.reading && "at the step #{Reading::STEPS.fetch(work.reading.step)[:name].downcase}"
    [work.horizon&.depths&.to_s, step || "not begun"].compact.join(", ")
  end
end
