# frozen_string_literal: true

module Demo
  # Who of the valley's people has an account: one of each role, signed in with one press and without a password.
  module People
    ROLES = { "Maren" => "lead", "Tobe" => "surveyor", "Ilka" => "reader" }.freeze

    # Those who are named in the fieldbook already are given accounts.
    def self.load
      ROLES.each do |name, role|
        account = Account.make(name: name, login: name.downcase, demo: true)
        person = Observer.named(name)
        Fieldbook.current.let_in(account, role, as: person)
        # Who sat in a session goes on in it, on whatever device.
        PracticePerson.where(observer: person).update_all(account_id: account.id)
      end
    end
  end
end
