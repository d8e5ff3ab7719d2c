# frozen_string_literal: true

module Routes
  # What the routes share: reading the request, answering in JSON.
  module Support
    PAGE_SIZE = 50

    # @return [Hash{Symbol=>Object}] the body, its shape already checked against the API description
    def input = @input ||= JSON.parse(request.body.read, symbolize_names: true)

    # @return [Hash{Symbol=>Object}] the body without its version
    def changes = input.except(:version)

    def answer(value, status = 200)
      content_type :json
      halt status, JSON.generate(value)
    end

    # One page of a relation.
    # @return [Array] records, and the figures of the page
    def paged(relation)
      total = relation.count
      page = [params["page"].to_i, 1].max
      [relation.offset((page - 1) * PAGE_SIZE).limit(PAGE_SIZE),
       { page: page, pages: [(total / PAGE_SIZE.to_f).ceil, 1].max, total: total }]
    end
  end
end
