# The script that keeps the pages of the bench on a device: it names what the build made, so that a new build is taken
# up by every device.
class WorkersController < ActionController::Base
  # A script that holds nothing of the shop.
  skip_after_action :verify_same_origin_request

  def show
    script = BuiltPages.worker or return head(:not_found)

    no_store
    render js: <<~JS
      import { begin } from #{script.to_json}
      begin(#{BuiltPages.files.to_json}, #{InertiaRails.configuration.version.to_json})
    JS
  end
end
