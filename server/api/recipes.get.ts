import { readRoute } from '../http/read-route'
import { recipeViews } from '../services/recipes/recipes'

export default readRoute(({ tables }) => recipeViews(tables))
