# frozen_string_literal: true

# What is done to the layers of one profile as a whole: a boundary moved, a horizon split, two merged, the last of it
# undone. Readings are kept in all of it.
class Layers
  # @param profile [Profile]
  def initialize(profile)
    @profile = profile
  end

  # Moves the lower boundary of a horizon, and with it the upper one of the horizon that touches it.
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def move_boundary(horizon, version, lower_cm:)
    change(horizon, version, "boundary below #{horizon.designation}") do
      below = touching(horizon)
      ranges = [[horizon.upper_cm, lower_cm], below && [lower_cm, below.lower_cm]].compact
      ranges.each { |upper, lower| Grittle::Profiles::DepthRange.new(upper.to_f, lower.to_f) }
      below&.update!(upper_cm: lower_cm)
      @profile.horizons.reset
      @profile.sequence(except: horizon).check_fits(
        Grittle::Profiles::DepthRange.new(horizon.upper_cm.to_f, lower_cm.to_f)
      )
      horizon.update!(lower_cm: lower_cm)
    end
  end

  # The upper part keeps the readings, but for samples that lie wholly in the lower one.
  # @param designation [String] of the lower part
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def split(horizon, version, at_cm:, designation:)
    change(horizon, version, "split of #{horizon.designation}") do
      refuse("/at_cm", "#{horizon.designation} is #{horizon.depths}: split it between.") \
        unless at_cm > horizon.upper_cm && at_cm < horizon.lower_cm

      name = ApplicationRecord.required_text(:designation, designation, "horizon")
      lower = Horizon.create!(profile: @profile, designation: name, upper_cm: at_cm, lower_cm: horizon.lower_cm,
                              **horizon.attributes.symbolize_keys.slice(:boundary, :described, *Horizon::COLOURS))
      horizon.update!(lower_cm: at_cm, boundary: nil)
      horizon.samples.where("upper_cm >= ?", at_cm).update_all(horizon_id: lower.id)
    end
  end

  # A horizon and the one below that touches it become one, with the readings of both.
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def merge(horizon, version)
    change(horizon, version, "merging of #{horizon.designation}") do
      below = touching(horizon) || refuse("", "No horizon touches #{horizon.designation} from below.")
      below.samples.update_all(horizon_id: horizon.id)
      below.update!(removed_at: Time.now.utc)
      horizon.update!(lower_cm: below.lower_cm, boundary: below.boundary)
    end
  end

  # Many rows of a table at once, all or none: those with an id are changed in what they name, the others added.
  # @param rows [Array<Hash{Symbol=>Object}>] id and version, designation, upper_cm, lower_cm, boundary, colours,
  #   texture, described
  # @raise [Grittle::InvalidInput] with pointers below /rows/PLACE; ApplicationRecord::Stale
  def write(rows)
    @profile.with_lock do
      LayerChange.make(@profile, "table of horizons")
      written = Rows.new(@profile, rows).write
      @profile.horizons.reset
      check_order(written)
      settle
    end
  end

  # @raise [Grittle::InvalidInput] when there is nothing to undo, or it cannot be
  def undo
    @profile.with_lock do
      (@profile.last_change || refuse("", "There is nothing to undo.")).undo
      settle
    end
  end

  # Samples at depths find their horizon anew, and horizons what speaks for them.
  def settle
    @profile.horizons.reset
    @profile.samples.reset.each(&:attach)
    @profile.refresh
  end

  private

  def change(horizon, version, label)
    @profile.with_lock do
      raise ApplicationRecord::Stale, horizon unless horizon.reload.lock_version == version

      LayerChange.make(@profile, label)
      yield
      move_on(horizon, version)
      settle
    end
  end

  # Also where nothing came out of it: of two changes on one version the second is told.
  def move_on(horizon, version)
    Horizon.where(id: horizon.id, lock_version: version).update_all("lock_version = lock_version + 1")
    horizon.reload
  end

  # Rows may trade places, so only the whole is held against itself.
  def check_order(written)
    @profile.horizons.each_cons(2) do |above, below|
      place = written.index(below) || written.index(above)
      next unless place && below.upper_cm < above.lower_cm

      refuse("/rows/#{place}/upper_cm",
             "#{below.designation}, #{below.depths}, overlaps #{above.designation}, which is #{above.depths}.")
    end
  end

  def touching(horizon) = @profile.horizons.find { |other| other.upper_cm == horizon.lower_cm && other != horizon }

  def refuse(pointer, sentence)
    raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: pointer, sentence: sentence)])
  end

  # The rows of a table as they are written, every problem gathered with its place.
  class Rows
    def initialize(profile, rows)
      @profile = profile
      @rows = rows
      @problems = []
    end

    # @return [Array<Horizon>] in the order of the rows
    def write
      written = @rows.each_with_index.map { |row, place| within(place) { write_row(row) } }
      raise Grittle::InvalidInput, @problems unless @problems.empty?

      written
    end

    private

    def within(place)
      yield
    rescue Grittle::InvalidInput => e
      @problems.concat(e.problems.map { |problem| problem.under("/rows/#{place}") })
      nil
    end

    # In the system of the profile's method where that has the very name, else in whatever system has it.
    def texture(text)
      system = @profile.field_method.naming_system
      plain = Grittle::Written.read(text, system: system)&.added&.empty?
      ReportedClass.read(text, (system if plain))
    end

    def write_row(row)
      horizon = row[:id] ? @profile.horizons.find(row[:id]) : Horizon.new(profile: @profile)
      raise ApplicationRecord::Stale, horizon unless row[:id].nil? || horizon.lock_version == row[:version]

      given = row.except(:id, :version, :texture)
      given = { upper_cm: nil, lower_cm: nil, designation: "" }.merge(given) if horizon.new_record?
      attributes = horizon.checked(given, order: false)
      reported = texture(row[:texture]) if row[:texture].present?
      horizon.new_record? ? horizon.update!(attributes) : horizon.revise(horizon.lock_version, attributes)
      horizon.report(reported) if reported
      horizon
    end
  end
  private_constant :Rows
end
