# The planned work for any calendar.
class Shops::CalendarsController < ApplicationController
  def show
    floor = ShopFloor.new
    text = floor.draw do |plan|
      Plan::Calendar.new(plan, floor.pieces.to_h { |piece| [ piece.core_id, piece.name ] }).to_s
    end
    send_data text, filename: "rhexon-plan.ics", type: "text/calendar; charset=utf-8"
  end
end
