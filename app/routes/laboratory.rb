# frozen_string_literal: true

module Routes
  # What is sent to laboratories, and what they found in samples.
  module Laboratory
    S = SubmissionSerializer

    def self.registered(app)
      app.post "/api/samples/:id/laboratory-results" do
        sample = fieldbook.samples.standing.find(params[:id])
        LaboratoryResult.make(sample, input.transform_keys(&:to_s))
        answer_sample(sample, 201)
      end

      app.post "/api/laboratory-results" do
        usual = input.slice(:method, :laboratory).transform_keys(&:to_s).compact
        table = ::Exchange::LaboratoryTable.new(input[:csv], fieldbook.samples.standing, usual,
                                                **input.slice(:date_order, :duplicates))
        table.problems.refuse_any
        shown = { rows: table.preview, questions: table.questions, without: table.without }
        next answer({ kept: 0, **shown }) if input[:check] || table.questions.any?

        answer({ kept: table.take_in(input[:name]).size, **shown }, 201)
      end
      of_submissions(app)
    end

    def self.of_submissions(app)
      app.get "/api/submissions" do
        all = Submission.where(fieldbook: fieldbook).includes(:bags).order(id: :desc)
        answer(submissions: all.limit(100).map { |one| S.line(one) },
               waiting: Submission.waiting(fieldbook).map { |one| S.waiting(one) })
      end

      app.post "/api/submissions" do
        samples = input[:samples].map { |id| fieldbook.samples.standing.find(id) }
        made = Submission.make(samples, **input.slice(:laboratory, :analysis, :way, :note, :sent_by))
        answer(S.call(made), 201)
      end

      app.get("/api/submissions/:id") { answer(S.call(submission)) }

      app.get "/api/submissions/:id/custody.pdf" do
        content_type "application/pdf"
        headers "content-disposition" => %(inline; filename="custody-#{submission.id}.pdf")
        ::Exchange::CustodySheet.new(submission).render
      end

      # At once, instead of when it is due.
      app.post "/api/submissions/:id/ask" do
        asks = [*Submission::UNDER_WAY, "imported"].include?(submission.state) && submission.way == "service"
        refuse(Problem.new(422, "There is nothing to ask the laboratory about.")) unless asks
        ::Laboratory::Queue.new.look(submission)
        answer(S.call(submission.reload))
      end

      # A table that came for it, or the report that is held, without the rows that do not fit.
      app.post "/api/submissions/:id/results" do
        csv = input[:csv] || submission.report
        refuse(Problem.new(422, "There is no report yet.")) unless csv
        submission.import(csv, skip: input[:skip] || false)
        answer(S.call(submission.reload))
      end

      app.post "/api/submissions/:id/cancel" do
        submission.cancel
        answer(S.call(submission.reload))
      end

      app.helpers Asked
    end

    # What a path speaks of.
    module Asked
      def submission = @submission ||= Submission.where(fieldbook: fieldbook).find(params[:id])
    end
  end
end
