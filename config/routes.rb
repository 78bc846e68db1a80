Rails.application.routes.draw do
  root to: redirect("/bench")

  get "bench" => "bench#show"
  resources :entries, only: :create
  resources :faults, only: %i[index show]

  resource :plan, only: :show, path: "pieces/plan" do
    get :goals
    get :chance
    post :accept
    post :search
    post :stop_search
  end
  resource :area, only: %i[show create], path: "pieces/area"
  get "pieces/compare" => "comparisons#show"

  resources :jobs, only: :update

  resources :pieces, only: %i[index new create edit update] do
    resource :schedule, only: :show do
      post :what_if
      get :what_ifs
      get :chance
      get :looks
      post :edits
      post :undo
      post :redo
      get :history
    end
    get :photos, on: :member
  end

  resources :photos, only: %i[create show destroy] do
    get :thumb, on: :member
    post :colour, on: :member
  end
  resource :colour, only: %i[show create], path: "boards/colour"
  resources :trials, only: %i[new create update] do
    post :preview, on: :collection
  end
  resources :boards, only: %i[index new create show] do
    post :picks, on: :member
    get :readings, on: :member
    get :sheet, on: :member
    get :label, on: :member
    post :read_file, on: :member
    post :quick, on: :member
    post :verdict, on: :member
    post :making, on: :member
    resources :cells, only: %i[update] do
      get :approval, on: :member
      post :approve
      post :photo_colour
      post :readings
      post :measure
      post :promotion
      post :promotion_preview
    end
  end

  resources :mixes, only: %i[index show create], path: "mix" do
    post :preview, on: :collection
    post :pours
    post :take_back
    post :way
    post :finish
    post :discard
  end

  resource :shop, only: :show do
    get :calendar, defaults: { format: :ics }
    post :hours
    post :person
    post :tool
    post :goal
    post :house
    post :room
    post "rooms/:id/logger", action: :measured, as: :measured
  end

  resource :shelf, only: :show, controller: "shelf"
  resources :products, only: %i[show new create update destroy] do
    post :retire, on: :member
    post :take_up, on: :member
    get :export, on: :collection
    post :import, on: :collection
  end
  resources :batches, only: %i[show create update] do
    post :box, on: :collection
    get :label
  end
  resources :consumables, only: %i[create update]

  resource :sums, only: %i[show create]
  get "handbook(/:id)" => "handbook#show", as: :handbook

  resource :scale, only: :show do
    post :zero
    post :hand
  end

  get "up" => "health#show"
  resource :first_shop, only: %i[show create], path: "begin"
  match "*path", to: "application#missing", via: :all
end
