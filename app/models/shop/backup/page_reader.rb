# Asks each page of the application for what it shows, as somebody signed in would, and tells which cannot answer. For a
# shop that was restored to try it: pages may write when and by whom they were seen.
class Shop::Backup::PageReader
  # What is no page of the shop, or all of it in one file.
  NOT_READ = %r{\A/(rails|up|guest|sign_in|shop/archive)}

  # @param each [Integer] records that each page of their kind is read with, the newest ones
  def initialize(each: 3)
    @each = each
  end

  # @return [Hash{String=>Integer}] pages that failed, with their status
  def failing
    session = ActionDispatch::Integration::Session.new(Rails.application)
    session.host! "localhost"
    headers = { "X-Inertia" => "true", "X-Inertia-Version" => InertiaRails.configuration.version.to_s }
    paths.to_h { |path| [ path, session.get(path, headers: headers) ] }.select { |_, status| status >= 500 }
  end

  # @return [Array<String>]
  def paths
    Rails.application.routes.routes.select { |route| route.verb == "GET" && route.requirements[:controller] }
      .flat_map { |route| paths_of(route) }.uniq.grep_v(NOT_READ)
  end

  private

  def paths_of(route)
    part, *more = route.required_parts
    return [] if more.any?
    return [ route.format({}) ] unless part

    model = model_of(part, route.requirements[:controller])
    model ? model.order(id: :desc).limit(@each).map { |record| route.format(part => record.id) } : []
  end

  def model_of(part, controller)
    name = part == :id ? controller.split("/").last : part.to_s.delete_suffix("_id")
    name.classify.safe_constantize.then { |found| found if found.respond_to?(:limit) }
  end
end
