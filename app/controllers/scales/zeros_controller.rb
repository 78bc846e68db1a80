# The scale set to zero.
class Scales::ZerosController < ApplicationController
  include ReadsScale

  def create
    scale.zero(now: now)
    answer
  end
end
