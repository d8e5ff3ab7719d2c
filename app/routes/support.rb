# frozen_string_literal: true

module Routes
  # What the routes share: reading the request, answering in JSON.
  module Support
    PAGE_SIZE = 50
    # Bytes, packed as they are sent: some thousand profiles and readings.
    KEPT = Recent.new(most: 32 * 1024 * 1024, &:bytesize)

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

    # An answer that is made only when the record stands otherwise than when it was made last; what was found through
    # one fieldbook is answered through that one alone.
    # @param record [Array] what it is of
    # @param stamp [String] how it stands
    # @yieldreturn [Object]
    def answer_kept(record, stamp)
      content_type :json
      packed = KEPT.fetch([fieldbook.id, *record, stamp]) { Zlib.gzip(JSON.generate(yield)) }
      headers "vary" => "Accept-Encoding"
      unless request.accept_encoding.any? { |coding, weight| coding == "gzip" && weight.positive? }
        halt Zlib.gunzip(
          packed
        )
      end

      headers "content-encoding" => "gzip"
      halt packed
    end

    # One page of a relation.
    # @return [Array] records, and the figures of the page
    def paged(relation)
      total = relation.count
      page = { page: asked_page, pages: [(total / PAGE_SIZE.to_f).ceil, 1].max, total: total }
      [relation.offset((asked_page - 1) * PAGE_SIZE).limit(PAGE_SIZE), page]
    end

    # @return [Integer] from 1
    def asked_page = [params["page"].to_i, 1].max
  end
end
