# The shop's own figures, as the log has taught them; what was taught of a product can be forgotten, and taken back.
class Records::FiguresController < ApplicationController
  takes_long :show
  keeps_sound :create, :destroy
  takes :create, product: :name, phase: :name
  takes :destroy, product: :name, phase: :name

  def show
    respond_to do |format|
      format.html { render inertia: "OwnFigures", props: OwnFiguresState.new.to_h }
      format.json do
        send_data JSON.pretty_generate({ "format" => "rhexon-figures/1", **learned }),
                  filename: "rhexon-own-figures.json", type: :json
      end
    end
  end

  # Forgets what was taught up to now.
  def create
    ForgottenLesson.create!(product: product, phase: body["phase"], created_at: Time.current)
    render json: OwnFiguresState.new.to_h
  end

  # Remembers it again.
  def destroy
    ForgottenLesson.where(product: product, phase: body["phase"]).destroy_all
    render json: OwnFiguresState.new.to_h
  end

  private

  def product = @product ||= Product.find_by!(code: body["product"].to_s)
  def learned = Shop::Beliefs.for(ShopFloor::Records.current.setting(Time.current))
end
