# frozen_string_literal: true

module Routes
  # Fieldbooks and the people of them: members, those who have a name only, invitations.
  module Members
    S = AccountSerializer

    def self.registered(app)
      app.post "/api/fieldbooks" do
        made = ::Fieldbook.make(input[:name], Acting.account)
        answer(S.fieldbook(made, "lead"), 201)
      end

      app.patch "/api/fieldbook" do
        fieldbook.rename(input[:name])
        answer_members
      end

      app.get("/api/members") { answer_members }

      app.patch "/api/members/:id" do
        member.change(input[:version], role: input[:role])
        answer_members
      end

      # A member may go; a lead may send away.
      app.delete "/api/members/:id" do
        refuse Problem.new(403, "Only a lead removes others.") unless lead? || member.account_id == Acting.account&.id
        member.leave
        answer_members
      end
      people(app)
      invitations(app)
      app.helpers Asked
    end

    def self.people(app)
      app.post "/api/people" do
        Observer.another(fieldbook, input[:name])
        answer_members(201)
      end

      app.patch "/api/people/:id" do
        fieldbook.observers.find(params[:id]).rename(input[:name])
        answer_members
      end

      # An account takes over the name of somebody without one, with all that was written under it.
      app.put "/api/members/:id/person" do
        member.take_over(fieldbook.observers.find(input[:person_id]))
        answer_members
      end
    end

    def self.invitations(app)
      app.post "/api/invitations" do
        refuse Problem.new(422, FIRST_YOURS) unless Acting.account
        as = input[:person_id] && fieldbook.observers.find(input[:person_id])
        made, word = Invitation.make(fieldbook, by: Acting.account, role: input[:role], observer: as,
                                                note: input[:note])
        # What stands behind the sign is not sent to a server, so that no log holds it.
        answer({ **S.invitation(made), path: "/invitation##{word}" }, 201)
      end

      app.delete "/api/invitations/:id" do
        fieldbook.invitations.standing.find(params[:id]).withdraw
        answer_members
      end

      app.post("/api/invitations/look") { answer(S.invited(invited)) }

      app.post "/api/invitations/accept" do
        next answer(id: invited.accept(Acting.account).fieldbook_id) if Acting.account

        made = nil
        ActiveRecord::Base.transaction do
          made = Account.make(**input.slice(:name, :login, :password))
          invited.accept(made)
        end
        sign_in(made)
        answer({ id: invited.fieldbook_id }, 201)
      end
    end

    FIRST_YOURS = "Make your own account first: whoever is invited has to know by whom."
    GONE = "This invitation is not open any more: it was used, withdrawn, or is older than " \
           "#{Invitation::HOLDS / 86_400} days. Ask for another.".freeze

    # What a path or a body speaks of.
    module Asked
      def member = @member ||= fieldbook.memberships.find(params[:id])
      def invited = @invited ||= Invitation.with(input[:token]) || refuse(Problem.new(404, GONE))
      def answer_members(status = 200) = answer(S.members(fieldbook.reload, lead: lead?), status)
    end
  end
end
