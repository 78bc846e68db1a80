class RoomSerializer < ApplicationSerializer
  fields name: :string, t_c: :number, rh: :number, air: :string
end
