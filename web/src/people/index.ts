export { default as DepartmentFilter } from './DepartmentFilter.vue';
export { default as GradeSection } from './GradeSection.vue';
export { peoplePages } from './pages.ts';
export { useDepartments } from './useDepartments.ts';
