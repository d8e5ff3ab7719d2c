# frozen_string_literal: true

# One bag of a submission, with the label that was written on it.
class SubmissionBag < ApplicationRecord
  belongs_to :submission
  belongs_to :sample
end
