# frozen_string_literal: true

module Routes
  # What the routes share: reading the request, answering in JSON.
  module Support
    PAGE_SIZE = 50

    # @return [Hash{Symbol=>Object}] the body, its shape already checked against the API description
    def input = @input ||= JSON.parse(request.body.read, symbolize_names: true)

    # @return [Fieldbook] the root that every finder starts from
    def fieldbook = @fieldbook ||= ::Fieldbook.current

    # @return [Hash{Symbol=>Object}] the body without its version
    def changes = input.except(:version)

    # A record that was written: a retry of the write reads it again, from where it is read.
    # @param path [String]
    def written(path, value, status = 200)
      env["grittle.replay"] = path
      answer(value, status)
    end

    def answer(value, status = 200)
      content_type :json
      halt status, JSON.generate(value)
    end

    # One page of a relation.
    # @return [Array] records, and the figures of the page
    def paged(relation)
      total = relation.count
      pages = [(total / PAGE_SIZE.to_f).ceil, 1].max
      page = [params["page"].to_i, 1].max
      [relation.offset((page - 1) * PAGE_SIZE).limit(PAGE_SIZE), { page: page, pages: pages, total: total }]
    end
  end
end
