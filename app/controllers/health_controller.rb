# Whether the shop's file can be read and written: for whoever watches the computer it runs on.
class HealthController < ActionController::Base
  # Reads, and writes what changes nothing: a full or read-only disk shows only when something is written.
  def show
    ApplicationRecord.connection.execute("UPDATE shops SET updated_at = updated_at")
    damage = ApplicationRecord.connection.select_value("PRAGMA quick_check(1)")
    raise SQLite3::CorruptException, damage unless damage == "ok"

    render json: { status: "ok", shop: Shop.exists? }
  rescue StandardError => error
    sentence = if Trouble.of_database?(error)
      Trouble.database_sentence(error)
    else
      "The shop's computer is in trouble. It stands in the log as error #{Trouble.record(error)}."
    end
    render json: { status: "down", error: { sentence: sentence, where: "" } }, status: :service_unavailable
  end
end
